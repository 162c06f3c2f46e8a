using Circuitum.Core.Analysis;
using Circuitum.Core.Measure;

namespace Circuitum.Formats.Documents;

/// <summary>Papers of boxes: what is set where, which are almost full, and what is found.</summary>
internal static class BoxPapers
{
    private const double AlmostFull = 0.8;

    internal static void Schedule(PaperDraft s, JobAnalysis a)
    {
        s.Part("Box schedule");
        var rooms = BoxSchedule.Of(a);
        if (rooms.Length == 0)
        {
            s.Text("No boxes yet. Propose them in the Boxes stage.");
            return;
        }

        s.Text(
            "Distances along a wall are from the corner at your left hand as you face it, to the middle of the box. Heights are over "
                + "the subfloor."
        );
        foreach (var room in rooms)
        {
            s.Heading(room.Room.Room.Name);
            s.Table(
                [new("Box", 7), new("Mark", 17), new("Where", 34), new("Height", 20), new("Box to set", 24)],
                room.Lines.Select(l =>
                    new[]
                    {
                        l.Box.Id[(l.Box.Id.LastIndexOf('.') + 1)..] + (l.Box.Held is null ? "" : ", held"),
                        l.Spec.Mark,
                        l.Place,
                        l.Height,
                        l.Spec.Entry?.Name ?? "brings its own",
                    }
                )
            );
        }
    }

    internal static void Fills(PaperDraft s, JobAnalysis a)
    {
        s.Part("Box fills over 80 percent", flows: true);
        var full = a
            .Specs.Where(b => b.Value is { Fill: { } fill, Entry: { } entry } && fill.Inches3 > entry.Volume * AlmostFull)
            .OrderBy(b => b.Key, StringComparer.Ordinal)
            .ToList();
        if (full.Count == 0)
            s.Text("None.");
        else
            s.Table(
                [
                    new("Box", 12),
                    new("Room", 18),
                    new("Size", 34),
                    new($"In it, {VolumeText.Word(a.Units)}", 10, true),
                    new($"Holds, {VolumeText.Word(a.Units)}", 10, true),
                    new("Full", 8, true),
                ],
                full.Select(b =>
                    new[]
                    {
                        b.Key,
                        a.Job.RoomById(a.Boxes[b.Key].Room)!.Name,
                        b.Value.Entry!.Name,
                        VolumeText.Number(b.Value.Fill!.Inches3, a.Units),
                        VolumeText.Marked(b.Value.Entry.Volume, a.Units),
                        $"{b.Value.Fill.Inches3 / b.Value.Entry.Volume * 100:0} %",
                    }
                )
            );
    }

    internal static void Findings(PaperDraft s, JobAnalysis a)
    {
        s.Part("Open findings", flows: true);
        if (a.Findings.Length == 0)
            s.Text("None. What is not checked is left to the electrician and the inspector.");
        else
            s.Table(
                [new("", 8), new("Section", 18), new("Finding", 74)],
                a.Findings.Select(f => new[] { f.Severity.ToString().ToLowerInvariant(), f.Citation, f.Sentence })
            );
        s.Heading("Cautions");
        foreach (var caution in RoughTest.Of(a).Cautions.Append(Papers.Caution))
            s.Caution(caution);
    }
}
