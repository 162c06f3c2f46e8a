using System.Collections.Immutable;
using System.Globalization;
using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Review;
using Circuitum.Core.Takeoff;

namespace Circuitum.Formats.Documents;

/// <summary>Papers of material and money: the list to buy from, the estimate for the owner, and what a change costs.</summary>
internal static class MoneyPapers
{
    // A signature wants the height of three lines.
    private const int Signed = 3;

    private static readonly Column[] Signatures = [new("Who", 1.2), new("Name", 2.4), new("Signature", 3), new("Date", 1.4)];

    internal static void Material(PaperDraft s, JobAnalysis a)
    {
        s.Part("Material");
        s.Text("Counted from the plan; what is held back is not in what is bought. Cable by whole coils, open reels used up first.");
        foreach (var stage in Buying.Of(a, HouseMaterial.Of(a), held: false).GroupBy(l => l.Line.Stage))
        {
            s.Heading(Title(MaterialWords.Stage(stage.Key)));
            s.Table(
                [new("What", 40), new("Needed", 9, true), new("Held back", 9, true), new("At hand", 9, true), new("Buy", 26), new("", 4)],
                stage.Select(l =>
                    new[]
                    {
                        l.Line.Item.Text,
                        l.Line.InWords,
                        l.Line.Held > 0 ? MaterialLine.Say(l.Line.Item.Type, l.Line.Held) : "",
                        l.Shelf > 0 ? MaterialLine.Say(l.Line.Item.Type, l.Shelf) : "",
                        l.Words,
                        "",
                    }
                )
            );
        }
    }

    internal static void Estimate(PaperDraft s, JobAnalysis a, PaperMoney money)
    {
        var (estimate, book) = (Core.Takeoff.Estimate.Of(a, money.Prices), money.Prices);
        s.Part("Estimate");
        s.Text(
            $"Electrical rough-in and trim of a house of {FloorArea.Show(a.AreaSqFt, a.Units)}: {a.Job.Decisions.Boxes.Length} boxes on "
                + $"{a.Circuits.Length} circuits, {LengthText.Far(a.CableFeet, a.Units, "#,0")} of cable, service of "
                + $"{a.Panel?.MainBreaker ?? 0} A."
        );
        Sums(s, [("", estimate)]);
        s.Heading("Material");
        s.Table([new("What", 40), new("Used", 12, true), new("Price", 12, true)], Groups(a, book));
        s.Heading("Labour, hours of one person");
        var labour = LabourPlan.Of(a.Job, HouseMaterial.Of(a));
        s.Table(
            [new("Stage", 30), new("Hours", 10, true), new("Two people", 10, true)],
            labour
                .ByStage.Select(l => PaperRow.Of(Title(MaterialWords.Stage(l.Stage)), Hours(l.Hours), Hours(l.Hours / 2)))
                .Append(PaperRow.Of("In all", Hours(labour.Hours), Hours(labour.Hours / 2)) with { Sum = true })
        );
        Options(s, OwnersOption.Of(a, book, money.Options));
        s.Heading("What is assumed");
        foreach (var assumed in estimate.Assumed)
            s.Text(assumed);
        Sign(s);
    }

    private static void Options(PaperDraft s, ImmutableArray<OwnersOption> options)
    {
        if (options.Length < 2)
            return;
        s.Heading("To choose from");
        s.Text("Where only the conduit is put in now, its wires can be pulled later; the space in the panel is kept for them.");
        s.Table(
            [new("", 40), new("Total", 12, true), new("Against the plan", 14, true), new("Hours", 8, true), new("Chosen", 8)],
            options.Select(o =>
                PaperRow.Of(
                    o.Name,
                    o.Estimate.Total.Exact,
                    o == options[0] ? "" : (o.Estimate.Total - options[0].Estimate.Total).ExactSigned,
                    Hours(o.Estimate.Hours),
                    ""
                )
            )
        );
    }

    // What stands under one heading is one amount: its parts are added up in full and rounded once.
    private static IEnumerable<PaperRow> Groups(JobAnalysis a, PriceBook book)
    {
        var p = a.Job.Preferences;
        foreach (var group in Buying.Of(a, HouseMaterial.Of(a), held: true).GroupBy(l => l.Line.Item.Type.Group))
        {
            var priced = group.Where(l => book.Find(l.Line.Item) is not null).ToList();
            if (priced.Count == 0)
                continue;
            var cost = priced.Sum(l => Core.Takeoff.Estimate.Used(a, l, book) ?? 0) * (100 + p.MarkUpPercent) / 100;
            var sign = group.All(l => l.Line.Item.Type.Unit.Measured()) ? ItemUnits.Of(a.Units).Sign() : "";
            yield return PaperRow.Of(
                group.Key,
                $"{group.Sum(l => l.Line.Quantity).ToString("#,0", CultureInfo.InvariantCulture)}{sign}",
                Money.Dollars(cost).Exact
            );
        }
    }

    internal static void Change(PaperDraft s, JobAnalysis a, PaperMoney money)
    {
        s.Part("Change order");
        if (money.Before is not { } before)
        {
            s.Text("Nothing to compare with: issue a set before a change, and choose it here after the change.");
            return;
        }

        var (was, now) = (Core.Takeoff.Estimate.Of(before, money.Prices), Core.Takeoff.Estimate.Of(a, money.Prices));
        s.Text($"Against {money.Since}.");
        s.Table(
            [new("", 34), new("Before", 14, true), new("After", 14, true), new("Change", 14, true)],
            [
                Row("Boxes", before.Job.Decisions.Boxes.Length, a.Job.Decisions.Boxes.Length, ""),
                Row("Circuits", before.Circuits.Length, a.Circuits.Length, ""),
                Row("Breakers", Breakers(before), Breakers(a), ""),
                Row("Cable", Far(before), Far(a), $" {LengthText.FarWord(a.Units)}"),
                Row("Hours of one person", Math.Round(was.Hours, 1), Math.Round(now.Hours, 1), ""),
                Row("Material with mark-up", was.Material, now.Material),
                Row("Sales tax", was.Tax, now.Tax),
                Row("Labour", was.Labour, now.Labour),
                Row("Permits and inspections", was.Permits, now.Permits),
                Row("For what nobody foresees", was.Contingency, now.Contingency),
                Row("Total", was.Total, now.Total) with
                {
                    Sum = true,
                },
            ]
        );
        s.Heading("What changes");
        var changes = ChangesSince.Of(before, a).List.RemoveAll(c => c.IsWeighed);
        if (changes.Length == 0)
            s.Text("Nothing.");
        foreach (var change in changes)
            s.Text(change.What);
        s.Heading("Material that changes");
        s.Table([new("What", 44), new("Before", 12, true), new("After", 12, true), new("Change", 12, true)], Differences(before, a));
        s.Heading("What is assumed");
        foreach (var assumed in now.Assumed)
            s.Text(assumed);
        Sign(s);
    }

    private static IEnumerable<PaperRow> Differences(JobAnalysis before, JobAnalysis after)
    {
        var (was, now) = (Quantities(before), Quantities(after));
        foreach (var (key, line) in now.Concat(was.Where(w => !now.ContainsKey(w.Key))))
        {
            var (b, n) = (was.GetValueOrDefault(key)?.Quantity ?? 0, now.GetValueOrDefault(key)?.Quantity ?? 0);
            if (Math.Abs(b - n) < 0.05)
                continue;
            string Say(double quantity) => MaterialLine.Say(line.Item.Type, quantity);
            yield return PaperRow.Of(line.Item.Text, Say(b), Say(n), $"{(n > b ? "+" : "-")}{Say(Math.Abs(n - b))}");
        }
    }

    private static Dictionary<(string, BuyStage), MaterialLine> Quantities(JobAnalysis a) =>
        HouseMaterial.Of(a).Lines.ToDictionary(l => (l.Item.Key, l.Stage));

    private static int Breakers(JobAnalysis a) => a.Panels.Sum(p => p.Schedule.Count(r => !r.Free && !r.SecondPole));

    private static void Sums(PaperDraft s, (string Title, Estimate Estimate)[] columns)
    {
        PaperRow Row(string what, Func<Estimate, Money> of) => PaperRow.Of(columns.Select(c => of(c.Estimate).Exact).Prepend(what));
        s.Table(
            [new("", 30), .. columns.Select(c => new Column(c.Title, 12, true))],
            [
                Row("Material with mark-up", e => e.Material),
                Row("Sales tax on material", e => e.Tax),
                Row("Labour", e => e.Labour),
                Row("Permits and inspections", e => e.Permits),
                Row("For what nobody foresees", e => e.Contingency),
                Row("Total", e => e.Total) with
                {
                    Sum = true,
                },
            ]
        );
        s.Text(
            "Each amount is added up in full and rounded once to the cent, a half upwards; the total is the sum of what stands above it."
        );
    }

    private static void Sign(PaperDraft s)
    {
        s.Heading("Agreed");
        s.Table(
            Signatures,
            [PaperRow.Of("Owner", "", "", "") with { Lines = Signed }, PaperRow.Of("Electrician", "", "", "") with { Lines = Signed }]
        );
    }

    private static double Far(JobAnalysis a) =>
        Math.Round(a.Units == LengthUnits.FeetInches ? a.CableFeet : a.CableFeet * LengthText.MetresInFoot);

    private static PaperRow Row(string what, double before, double after, string unit) =>
        PaperRow.Of(what, Say(before) + unit, Say(after) + unit, $"{(after > before ? "+" : "")}{Say(after - before)}{unit}");

    private static PaperRow Row(string what, Money before, Money after) =>
        PaperRow.Of(what, before.Exact, after.Exact, (after - before).ExactSigned);

    private static string Say(double value) => Math.Round(value, 1).ToString("#,0.#", CultureInfo.InvariantCulture);

    private static string Hours(double hours) => hours.ToString("0.0", CultureInfo.InvariantCulture);

    private static string Title(string word) => char.ToUpperInvariant(word[0]) + word[1..];
}
