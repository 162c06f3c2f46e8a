using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Takeoff;

namespace Circuitum.Formats.Documents;

/// <summary>Papers of cables: the home runs with what is drilled for them, and the test before the walls close.</summary>
internal static class RunPapers
{
    internal static void HomeRuns(PaperDraft s, JobAnalysis a)
    {
        s.Part("Home runs");
        s.Text(
            $"Lengths are to cut, with {LengthText.Show(a.Job.Preferences.PanelMakeUp, a.Units)} in the panel and "
                + $"{LengthText.Show(a.Job.Preferences.BoxMakeUp, a.Units)} at the box, waste not counted. Label both ends."
        );
        var cuts = CutPlan
            .Of(a)
            .SelectMany(p => p.Reels)
            .SelectMany(r => r.Cuts.Where(c => c.From is null).Select(c => (c.Circuit, r.Name)))
            .ToDictionary(c => c.Circuit, c => c.Name);
        foreach (var group in PullList.Of(a))
        {
            s.Heading(group.Name);
            s.Table(
                [
                    new("Label", 34),
                    new("To", 13),
                    new("Way", 26),
                    new(LengthText.FarWord(a.Units), 5, true),
                    new("From", 12),
                    new("Took", 8),
                ],
                group.Lines.Select(l =>
                    new[]
                    {
                        l.Label,
                        l.To,
                        l.Way,
                        LengthText.FarNumber(l.Cut, a.Units),
                        cuts.GetValueOrDefault(l.Circuit.Number, ""),
                        l.Pulled?.Measured is { } m ? LengthText.Far(m, a.Units)
                        : l.Pulled is not null ? "pulled"
                        : "",
                    }
                )
            );
        }

        Holes(s, a);
    }

    private static void Holes(PaperDraft s, JobAnalysis a)
    {
        var drill = DrillList.Of(a);
        if (drill.Lines.Length == 0)
            return;
        s.Heading("Drill and protect");
        s.Text(drill.InWords(a.Job));
        foreach (var mind in drill.Open)
            s.Text(mind);
        Column[] columns =
        [
            new("Where", 36),
            new("Holes", 7, true),
            new("Cables", 7, true),
            new("In one", 7, true),
            new("Bit", 9),
            new("Mind", 34),
        ];
        s.Table(columns, drill.Lines.Select(l => new[] { l.Where, $"{l.Holes}", $"{l.Cables}", $"{l.Fullest}", l.Bit, l.Note }));
    }

    internal static void RoughTests(PaperDraft s, JobAnalysis a)
    {
        var test = RoughTest.Of(a);
        s.Part("Before the walls close");
        s.Text(
            (
                test.Way == RoughTesting.Live
                    ? "Live test on temporary power."
                    : "Cables tested dead; nothing connected before the inspection."
            ) + " The job's preferences choose between the two."
        );
        foreach (var caution in test.Cautions)
            s.Caution(caution);
        if (test.Lines.Length == 0)
            s.Text("No cable yet. Plan the circuits first.");
        else
            s.Table(
                [new("Ckt", 5, true), new("Serves", 22), new("Ends at", 12), new("Try", 42), new("Read", 10), new("By", 8)],
                test.Lines.SelectMany(line =>
                    line.Tries.Select(
                        (t, i) =>
                            i == 0 ? new[] { $"{line.Circuit.Number}", line.Circuit.Label, line.End, t, "", "" } : ["", "", "", t, "", ""]
                    )
                )
            );
    }
}
