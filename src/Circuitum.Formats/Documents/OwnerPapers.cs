using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Commands;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Review;

namespace Circuitum.Formats.Documents;

/// <summary>The paper of a walk with the owner: what was wished and what it costs, what waits for whom, and where they sign.</summary>
internal static class OwnerPapers
{
    // Each is planned without, to tell what it brings; more of them are told together.
    private const int MostPriced = 12;

    // A signature wants the height of three lines.
    private const int Signed = 3;

    private static Column[] Wishes(LengthUnits units) =>
        [
            new("Room", 2),
            new("Wish", 1.6),
            new("In the owner's words", 3),
            new($"Cable, {LengthText.FarWord(units)}", 0.9, Right: true),
            new("About", 0.9, Right: true),
        ];

    internal static void Walk(PaperDraft s, JobAnalysis a)
    {
        s.Part("Walk with the owner");
        s.Text(
            "What was agreed room by room. Amounts weigh cable, breakers and labour as the planner does, each wish against the plan "
                + "without it: an estimate to decide by, not a price."
        );
        s.Heading("Wishes");
        if (a.Job.Wishes.Length == 0)
            s.Text("None was written down.");
        else
            s.Table(Wishes(a.Units), Priced(a));
        s.Heading("What waits");
        var waits = Waits(a).ToList();
        if (waits.Count == 0)
            s.Text("Nothing waits for anyone.");
        else
            s.Table([new("Room", 2), new("What", 3), new("Waits for", 2.4), new("Ask", 1.6)], waits);
        s.Heading("Agreed");
        s.Table(
            [new("Who", 1.2), new("Name", 2.4), new("Signature", 3), new("Date", 1.4)],
            [PaperRow.Of("Owner", "", "", "") with { Lines = Signed }, PaperRow.Of("Electrician", "", "", "") with { Lines = Signed }]
        );
    }

    private static IEnumerable<PaperRow> Priced(JobAnalysis a)
    {
        var planned = a.Circuits.Length > 0;
        foreach (var wish in a.Job.Wishes)
        {
            var without = planned && a.Job.Wishes.Length <= MostPriced ? EditPreview.Without(a, Taking(wish)) : null;
            yield return PaperRow.Of(
                a.Job.RoomById(wish.Room)!.Name,
                WishWords.Of(wish.Kind),
                wish.Note,
                without is null ? "" : LengthText.FarNumber(without.Then.Feet - without.Now.Feet, a.Units, "#,0;-#,0;0"),
                without is null ? "" : $"{without.Then.Weighed - without.Now.Weighed}"
            );
        }

        if (planned && a.Job.Wishes.Length > 1)
        {
            var all = EditPreview.Without(a, [.. a.Job.Wishes.Select(Taking)]);
            yield return PaperRow.Of(
                "All together",
                "",
                "",
                LengthText.FarNumber(all.Then.Feet - all.Now.Feet, a.Units, "#,0;-#,0;0"),
                $"{all.Then.Weighed - all.Now.Weighed}"
            ) with
            {
                Sum = true,
            };
        }
    }

    private static RemoveThing Taking(Wish wish) => new(Subject.Wish(wish.Id));

    private static IEnumerable<PaperRow> Waits(JobAnalysis a)
    {
        foreach (var box in a.Job.Decisions.Boxes.Where(b => b.Held is not null))
            yield return PaperRow.Of(a.Job.RoomById(box.Room)!.Name, box.Id, box.Held!.WaitsFor, box.Held.Ask);
        foreach (var x in a.Job.Appliances.Select(x => ApplianceFacts.Of(a.Job, x)).Where(x => x.IsUnread))
            yield return PaperRow.Of(a.Job.RoomById(x.Appliance.Room)!.Name, x.Name, "its nameplate", "whoever buys it");
    }
}
