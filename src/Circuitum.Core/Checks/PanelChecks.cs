using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Commands;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Checks;

/// <summary>Panels: spaces, place, handle, family, labels.</summary>
internal sealed class PanelChecks : ICheck
{
    public ImmutableArray<string> Rules =>
        [
            "panel.clear",
            "panel.family",
            "panel.handle",
            "panel.label",
            "panel.legs",
            "panel.mixed",
            "panel.place",
            "panel.spaces",
            "panel.spare",
            "panel.tandem",
        ];

    public IEnumerable<Finding> Find(JobAnalysis a)
    {
        if (a.Panels.Length == 0)
        {
            if (a.Circuits.Length > 0)
                yield return CheckList.Make(a, "panel.spaces", "The job has no panel. Put one on a wall.");
            yield break;
        }

        foreach (var at in a.Panels)
        {
            foreach (var found in Of(a, at))
                yield return found;
        }

        foreach (var same in a.Circuits.GroupBy(c => c.Label, StringComparer.OrdinalIgnoreCase).Where(g => g.Count() > 1))
            yield return CheckList.Make(
                a,
                "panel.label",
                $"Circuits {string.Join(" and ", same.Select(c => c.Number))} have the same label, \"{same.Key}\".",
                [.. same.Select(c => Subject.Circuit(c.Number))]
            );
        foreach (var c in a.Circuits)
        {
            if (LabelWriter.Unclear(c.Label) is { } why)
                yield return CheckList.Make(
                    a,
                    "panel.clear",
                    $"The label of circuit {c.Number}, \"{c.Label}\", {why}.",
                    Subject.Circuit(c.Number)
                );
        }
    }

    private static IEnumerable<Finding> Of(JobAnalysis a, PanelAnalysis at)
    {
        var (panel, subject) = (at.Panel, Subject.Panel(at.Panel.Id));

        // With one panel everybody knows which is meant.
        var name = a.Panels.Length == 1 ? "the panel" : panel.Name;
        var placed = at.Schedule.Select(r => r.Circuit?.Number).OfType<int>().ToHashSet();
        var without = a
            .Circuits.Where(c => c.Boxes.Length > 0 && c.Panel == panel.Id && !placed.Contains(c.Number))
            .Select(c => c.Number)
            .ToList();
        if (without.Count > 0)
            yield return CheckList.Make(a, "panel.spaces", $"Without a space in {name}: circuit {string.Join(", ", without)}.", subject);
        foreach (var fed in a.Panels.Where(p => p.Feeder?.From == panel.Id && at.Schedule.All(r => r.Feeder != p.Feeder)))
            yield return CheckList.Make(
                a,
                "panel.spaces",
                $"Without a space in {name}: the feeder of {fed.Panel.Name}.",
                subject,
                Subject.Panel(fed.Panel.Id)
            );
        foreach (var row in at.Schedule.Where(r => r.Half != TandemHalf.Whole && r.Circuit is not null))
        {
            var whole = FreeSpace.In(at, a.Job.Decisions.Spaces, PanelDeriver.Need(a.Job, row.Circuit!) with { Protective = true });
            FindingFix? fix = whole is null
                ? null
                : new($"Move it to space {whole.Value.Space}", new MoveBreaker(row.Circuit!.Number, whole.Value.Space));
            if (!panel.TakesTandem(row.Space))
                yield return CheckList.Make(
                    a,
                    "panel.tandem",
                    $"Circuit {row.Circuit!.Number} is in half of space {row.Space}, which does not take a tandem by {name}'s listing.",
                    Subject.Circuit(row.Circuit.Number),
                    subject
                ) with
                {
                    Fix = fix,
                };
            else if (!PanelDeriver.Need(a.Job, row.Circuit!).FitsHalf)
                yield return CheckList.Make(
                    a,
                    "panel.tandem",
                    $"Circuit {row.Circuit!.Number} is in half of space {row.Space}; with "
                        + $"{(row.Circuit.Pair is null ? "protection at its breaker" : "a shared neutral")} it needs a whole one.",
                    Subject.Circuit(row.Circuit.Number),
                    subject
                ) with
                {
                    Fix = fix,
                };
        }

        foreach (var row in at.Schedule.Where(r => r.Circuit is not null && !r.SecondPole && !panel.Takes(r.Family)))
            yield return CheckList.Make(
                a,
                "panel.mixed",
                $"The breaker of circuit {row.Circuit!.Number} is of {row.Family}; {name} takes "
                    + (
                        panel.BreakerFamily.Length > 0
                            ? string.Join(", ", panel.AlsoTakes.Prepend(panel.BreakerFamily))
                            : "a family that is not named yet"
                    )
                    + ".",
                Subject.Circuit(row.Circuit.Number),
                subject
            ) with
            {
                Fix = new("Take one of the panel's family", new SetBreakerFamily(row.Circuit.Number, null)),
            };
        var spare = panel.Spaces - at.SpacesUsed;
        var (enough, wanted) = a.Job.Preferences.SpareSpaces is { } count
            ? (spare >= count, $"{count}")
            : (spare * 100 >= panel.Spaces * a.Job.Preferences.SparePercent, $"{a.Job.Preferences.SparePercent} percent");
        if (a.Circuits.Length > 0 && !enough)
            yield return CheckList.Make(
                a,
                "panel.spare",
                $"{spare} of {panel.Spaces} spaces{(a.Panels.Length == 1 ? "" : $" of {panel.Name}")} are free; the job wants "
                    + $"{wanted}: a panel of {Enough(a.Job.Preferences, at.SpacesUsed)} spaces or more.",
                subject
            );
        var byExpected = a.Job.Preferences.LegBalance == LegBalanceBy.Expected;
        var (legA, legB) = byExpected ? (at.Expected(true), at.Expected(false)) : (at.LegA, at.LegB);
        var gap = Math.Abs(legA.Value - legB.Value);
        if (gap * 100 > Math.Max(legA.Value, legB.Value) * a.Edition.Number("legGapPercent"))
            yield return CheckList.Make(
                a,
                "panel.legs",
                $"{(a.Panels.Length == 1 ? "" : $"{panel.Name}: ")}Leg A carries {legA}{(byExpected ? " as expected" : "")}, "
                    + $"leg B {legB}: {gap:#,0} VA apart.",
                subject
            );
        var room = a.House[panel.Room].Room;
        if (room.Kind is RoomKind.Bathroom or RoomKind.Closet or RoomKind.Stairs)
            yield return CheckList.Make(a, "panel.place", $"{char.ToUpperInvariant(name[0])}{name[1..]} hangs in {room.Name}.", subject);
        if (panel.Top > Length.Inches(a.Edition.Number("highestHandleIn")) + Length.Inches(4))
            yield return CheckList.Make(
                a,
                "panel.handle",
                $"With its top at {LengthText.Show(panel.Top)} the highest handle is out of reach.",
                subject
            );
        if (panel.BreakerFamily.Length == 0)
            yield return CheckList.Make(
                a,
                "panel.family",
                $"{(a.Panels.Length == 1 ? "The panel" : panel.Name)}'s breaker family is not named.",
                subject
            );
    }

    // Panels have as many spaces on the left as on the right.
    private static int Enough(Preferences p, int used)
    {
        var least = p.SpareSpaces is { } count ? used + count : (int)Math.Ceiling(used * 100.0 / (100 - p.SparePercent));
        return least + (least % 2);
    }
}
