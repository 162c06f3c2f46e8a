using System.Collections.Immutable;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Analysis;

/// <summary>What an edit brings with it: wire, breaker, spaces, load, cable, findings, held between two analyses.</summary>
public static class Consequences
{
    // In cents; what is less is noise of the estimate.
    private const int Told = 1000;

    /// <summary>The consequences, circuits first.</summary>
    public static ImmutableArray<Consequence> Of(JobAnalysis before, JobAnalysis after)
    {
        var found = ImmutableArray.CreateBuilder<Consequence>();
        foreach (var now in after.Circuits)
        {
            if (before.CircuitByNumber(now.Number) is { } was)
                Circuit(was, now, after.Units, found);
            else
                found.Add(
                    new(Subject.Circuit(now.Number), $"Circuit {now.Number}, {now.Label}: new, {now.Cable} on {now.Breaker} A.", true)
                );
        }

        foreach (var gone in before.Circuits.Where(c => after.CircuitByNumber(c.Number) is null))
            found.Add(new(null, $"Circuit {gone.Number}, {gone.Label}, is gone.", true));
        House(before, after, found);
        return found.ToImmutable();
    }

    private static void Circuit(CircuitAnalysis was, CircuitAnalysis now, LengthUnits units, ImmutableArray<Consequence>.Builder found)
    {
        void Add(string what, bool again) =>
            found.Add(new(Subject.Circuit(now.Number), $"Circuit {now.Number}, {now.Label}: {what}.", again));
        var pulled = was.Pulled is { } run
            ? $", and {LengthText.Far(run.Measured ?? was.Run.Segments[0].Cut, units)} of {run.Cable} are in the frame already "
                + "and are to be pulled again"
            : $", {LengthText.Far(now.Run.HomeRun, units)}, not ticked off as pulled";
        if (was.Cable != now.Cable)
            Add($"home run {was.Cable} to {now.Cable}{pulled}", true);
        if (was.Panel is not null && was.Panel != now.Panel)
            Add(
                $"out of another panel, home run {LengthText.FarNumber(was.Run.HomeRun, units)} to "
                    + $"{LengthText.Far(now.Run.HomeRun, units)}",
                was.Pulled is not null
            );
        if (was.BranchCable != now.BranchCable && now.Run.Segments.Length > 1)
            Add($"cable past the first box {was.BranchCable} to {now.BranchCable}", true);
        if (was.Breaker != now.Breaker || was.Poles != now.Poles)
            Add($"breaker {was.Breaker} A{Poles(was)} to {now.Breaker} A{Poles(now)}", true);
        if (was.Protection.Mark != now.Protection.Mark)
            Add($"protection {Mark(was)} to {Mark(now)}", true);
        if (Math.Abs(was.Load.Sizing.Value - now.Load.Sizing.Value) >= 0.05)
            Add($"load {was.Load.Sizing} to {now.Load.Sizing}", false);
        if (Math.Abs(was.DropPercent - now.DropPercent) >= 0.1)
            Add($"voltage drop {was.DropPercent:0.0} to {now.DropPercent:0.0} percent", false);
    }

    private static void House(JobAnalysis before, JobAnalysis after, ImmutableArray<Consequence>.Builder found)
    {
        void Add(string what, bool again = false) => found.Add(new(null, what, again));
        if (before.SpacesUsed != after.SpacesUsed)
            Add($"Spaces {before.SpacesUsed} to {after.SpacesUsed} of {after.Panel?.Spaces ?? 0}.", false);
        Spaces(before, after, Add);
        foreach (var at in after.Panels.Where(p => p.Feeder is not null))
        {
            var was = before.Panels.FirstOrDefault(p => p.Panel.Id == at.Panel.Id)?.Feeder;
            if (was is null)
                Add(
                    $"{at.Panel.Name}: a feeder of {at.Feeder!.Breaker} A, {at.Feeder.Made}, {LengthText.Far(at.Feeder.Cut, after.Units)}.",
                    true
                );
            else if (was.Made != at.Feeder!.Made || was.Breaker != at.Feeder.Breaker)
                Add($"Feeder of {at.Panel.Name}: {was.Breaker} A, {was.Made} to {at.Feeder.Breaker} A, {at.Feeder.Made}.", true);
        }

        if (Math.Abs(before.Service.Current.Value - after.Service.Current.Value) >= 0.05)
            Add($"Service load {before.Service.Current} to {after.Service.Current}.", false);
        if (Math.Abs(before.CableFeet - after.CableFeet) >= 1)
            Add(
                $"Cable to buy {LengthText.FarNumber(before.CableFeet, after.Units, "#,0")} to "
                    + $"{LengthText.Far(after.CableFeet, after.Units, "#,0")}.",
                false
            );
        Boxes(before, after, found);
        var more = Money.OfCents(Cents(after) - Cents(before));
        if (Math.Abs(more.Cents) >= Told)
            found.Add(
                new(
                    null,
                    $"About {new Money(Math.Abs(more.Cents))} {(more.Cents > 0 ? "more" : "less")} in cable, breakers and labour, as the "
                        + "planner weighs them; an estimate, not a price.",
                    false
                )
                {
                    IsWeighed = true,
                }
            );
        string Line(Finding f) => $"{f.RuleId}|{f.Sentence}";
        var (old, now) = (before.Findings.Select(Line).ToHashSet(), after.Findings.Select(Line).ToHashSet());
        foreach (var f in after.Findings.Where(f => f.Severity != Severity.Note && !old.Contains(Line(f))))
            Add($"Found now: {f.Sentence}", false);
        foreach (var f in before.Findings.Where(f => f.Severity != Severity.Note && !now.Contains(Line(f))))
            Add($"No longer: {f.Sentence}", false);
    }

    // Breakers that sit elsewhere, and how evenly the legs are loaded then.
    private static void Spaces(JobAnalysis before, JobAnalysis after, Action<string, bool> add)
    {
        string Where(JobAnalysis a, int number) =>
            a.CircuitByNumber(number) is { } c && a.RowOf(c) is { } row ? $"{c.Panel} {row.Place}" : "";
        var moved = after
            .Circuits.Select(c => c.Number)
            .Where(n => before.CircuitByNumber(n) is not null && Where(before, n) is var was && was.Length > 0 && was != Where(after, n))
            .ToList();
        if (moved.Count > 0)
            add($"In another space: circuit {string.Join(", ", moved)}.", false);
        foreach (var at in after.Panels)
        {
            if (before.Panels.FirstOrDefault(p => p.Panel.Id == at.Panel.Id) is not { } was)
                continue;
            var (old, now) = (was.Lines.Gap.Value, at.Lines.Gap.Value);
            if (Math.Abs(old - now) >= 1)
                add($"Legs of {at.Panel.Name}: {old:#,0} to {now:#,0} VA apart.", false);
            var (free, left) = (was.Panel.Spaces - was.SpacesUsed, at.Panel.Spaces - at.SpacesUsed);
            if (free != left)
                add($"Free spaces of {at.Panel.Name}: {free} to {left}.", false);
        }
    }

    // A box that has to be bought in another size: one more cable in it, a larger wire.
    private static void Boxes(JobAnalysis before, JobAnalysis after, ImmutableArray<Consequence>.Builder found)
    {
        const int Most = 6;
        var changed = after
            .Specs.Where(s =>
                s.Value.Entry is { } now && before.Specs.GetValueOrDefault(s.Key)?.Entry is { } was && was.Volume != now.Volume
            )
            .OrderBy(s => s.Key, StringComparer.Ordinal)
            .ToList();
        foreach (var (id, spec) in changed.Take(Most))
            found.Add(
                new(
                    Subject.Box(id),
                    $"Box {id}: {before.Specs[id].Entry!.Name} to {spec.Entry!.Name}, "
                        + $"{VolumeText.Show(spec.Fill?.Inches3 ?? 0, after.Units)} in it.",
                    after.Boxes[id].State != Jobs.BoxState.Planned
                )
            );
        if (changed.Count > Most)
            found.Add(new(null, $"{changed.Count - Most} more boxes change their size.", false));
    }

    // Larger wire is dearer by the foot about as its copper is.
    /// <summary>What a plan costs in cable, breakers and labour, as the planner weighs them; an estimate, not a price.</summary>
    public static Money Weighed(JobAnalysis a) => Money.OfCents(Cents(a));

    private static double Cents(JobAnalysis a) =>
        a
            .Circuits.Where(c => c.Boxes.Length > 0)
            .Sum(c => (a.Job.Preferences.Weights.Circuit * c.Poles) + (c.Run.Cut.InFeet * CentsPerFoot(a.Job, c)));

    /// <summary>What a length of a circuit's cable costs with its labour, as the planner weighs it: an estimate, not a price.</summary>
    public static Money CostOf(Jobs.Job job, CircuitAnalysis circuit, Length length) =>
        Money.OfCents(length.InFeet * CentsPerFoot(job, circuit));

    internal static double CentsPerFoot(Jobs.Job job, CircuitAnalysis circuit) =>
        job.Preferences.Weights.CableFoot * (0.6 + (0.4 * (circuit.Wire is { } wire ? wire.Row.Cmil / 6530.0 : 1)));

    private static string Poles(CircuitAnalysis c) => c.Poles == 2 ? " two-pole" : "";

    private static string Mark(CircuitAnalysis c) => c.Protection.Mark.Length == 0 ? "none" : c.Protection.Mark;
}
