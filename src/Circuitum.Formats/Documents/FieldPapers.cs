using System.Globalization;
using Circuitum.Core.Analysis;
using Circuitum.Core.Field;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Formats.Documents;

/// <summary>Papers from the field: lists of inspections, corrections, tests, what was built, and the owner's booklet.</summary>
internal static class FieldPapers
{
    private const int Signed = 3;
    private const int ByHand = 2;

    internal static void List(PaperDraft s, JobAnalysis a, FieldState state, Inspection inspection)
    {
        s.Part(CheckOff.Name(inspection));
        Head(s, a, state, inspection);
        var items = CheckOff.Of(a).Where(i => i.Inspection == inspection).ToList();
        var open = items.Count(i => !state.IsDone(i.Task));
        s.Text(
            items.Count == 0 ? "Nothing to look at yet: boxes and circuits are planned first."
            : open == 0 ? $"All {items.Count} passed."
            : $"{items.Count - open} of {items.Count} passed."
        );
        foreach (var part in items.GroupBy(i => i.Part))
        {
            s.Heading(part.Key);
            s.Table(
                [new("Looked at", 26), new("By the plan", 44), new("Pass", 6), new("Fail", 6), new("By, when, note", 18)],
                part.Select(i =>
                {
                    var said = state[i.Task.Key];
                    return new[]
                    {
                        i.Task.Title,
                        string.Join("; ", i.Task.Lines),
                        state.IsDone(i.Task) ? "x" : "",
                        said.State == FieldSaid.Wrong ? "x" : "",
                        Said(said),
                    };
                })
            );
        }

        s.Heading("Signed");
        s.Table(
            [new("Who", 1.2), new("Name", 2.4), new("Signature", 3), new("Date", 1.4)],
            [PaperRow.Of("Inspector", "", "", "") with { Lines = Signed }, PaperRow.Of("Electrician", "", "", "") with { Lines = Signed }]
        );
    }

    private static void Head(PaperDraft s, JobAnalysis a, FieldState state, Inspection inspection)
    {
        var permit = state[CheckOff.Permit.Key].Value;
        s.Text(
            $"Permit {(permit.Length > 0 ? permit : "____________")}"
                + (a.Job.PermitDate is { } day ? $" of {day.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture)}" : "")
                + ". Every line is made from the plan; the local authority decides."
        );
        var visit = state[CheckOff.Visit(inspection).Key];
        if (visit.State is FieldSaid.Done or FieldSaid.Wrong)
            s.Text($"{(visit.State == FieldSaid.Done ? "Passed" : "Not passed")}: {visit.Value}");
        foreach (var note in visit.Notes)
            s.Text($"{note.By}, {Day(note.At)}: {note.Value}");
    }

    internal static void Corrections(PaperDraft s, JobAnalysis a, FieldState state)
    {
        s.Part("Corrections");
        var remarks = FieldRemark.Of(a, [.. FieldPlan.Of(a), .. CheckOff.Tasks(a)], state);
        if (remarks.Length == 0)
        {
            s.Text("Nothing is open from the house.");
            return;
        }

        s.Table(
            [new("", 5), new("What, and where", 60), new("Mended by", 18), new("Looked at again", 17)],
            remarks.Select(r => PaperRow.Of(r.Severity == Severity.Must ? "must" : "should", r.Sentence, "", "") with { Lines = ByHand })
        );
    }

    internal static void Tests(PaperDraft s, JobAnalysis a, FieldState state)
    {
        var plan = TestPlan.Of(a);
        s.Part("Tests before the walls close");
        s.Text(plan.Way == RoughTesting.Live ? "Live, on temporary power." : "Dead, from the panel's end.");
        foreach (var caution in plan.Cautions)
            s.Caution(caution);
        if (plan.Steps.Length == 0)
            s.Text("No cable yet. Plan the circuits first.");
        foreach (var circuit in plan.Steps.GroupBy(t => t.Circuit))
        {
            s.Heading($"Circuit {circuit.Key.Number}, {circuit.Key.Label}");
            s.Table(
                [new("At", 12), new("Expected", 52), new("Found", 20), new("By, when", 16)],
                circuit.Select(step =>
                {
                    var said = state[step.Task.Key];
                    return new[]
                    {
                        step.Task.Title,
                        string.Join(" ", step.Task.Lines),
                        state.IsDone(step.Task) ? "as expected"
                        : said.State == FieldSaid.Wrong ? said.Value
                        : "",
                        said.State == FieldSaid.Open ? "" : $"{said.By}, {Day(said.At)}",
                    };
                })
            );
        }
    }

    internal static void AsBuilt(PaperDraft s, JobAnalysis a, FieldState state, IReadOnlyCollection<FieldPhoto> photos)
    {
        var tasks = FieldPlan.Of(a);
        s.Part("As built");
        foreach (var p in FieldProgress.Of(tasks, state))
            s.Text($"{p.InWords}.");
        s.Heading("Home runs");
        s.Table(
            [new("Label", 40), new("Planned", 9, true), new("Took", 9, true), new("As", 14), new("By, when", 18)],
            PullList
                .Of(a)
                .SelectMany(g => g.Lines)
                .Select(l =>
                {
                    var said = state[$"pull/{l.Circuit.Number.ToString(CultureInfo.InvariantCulture)}"];
                    return new[]
                    {
                        l.Label,
                        LengthText.Far(l.Cut, a.Units),
                        l.Pulled?.Measured is { } m ? LengthText.Far(m, a.Units) : "",
                        l.Pulled is null ? "not pulled" : l.Pulled.Cable,
                        said.By.Length > 0 ? $"{said.By}, {Day(said.At)}" : "",
                    };
                })
        );
        var noted = tasks.Where(t => state[t.Key] is { } x && (x.Notes.Length > 0 || x.State == FieldSaid.Wrong)).ToList();
        s.Heading("Remarks");
        if (noted.Count == 0)
            s.Text("None.");
        else
            s.Table(
                [new("Room", 18), new("What", 22), new("Remark", 60)],
                noted.SelectMany(t =>
                    Remarks(state[t.Key])
                        .Select(r => new[] { a.Job.RoomById(t.Room)?.Name ?? "", $"{FieldWords.Head(t.Work)}: {t.Title}", r })
                )
            );
        Pictures(s, a, tasks, photos);
    }

    private static void Pictures(PaperDraft s, JobAnalysis a, IEnumerable<FieldTask> tasks, IReadOnlyCollection<FieldPhoto> photos)
    {
        s.Part("Pictures");
        if (photos.Count == 0)
            s.Text("None was taken.");
        var named = tasks.ToDictionary(t => t.Key);
        foreach (var photo in photos)
        {
            var shown = named.GetValueOrDefault(photo.Task) is { } task
                ? $"{a.Job.RoomById(task.Room)?.Name}, {task.Title}"
                : "No longer planned";
            var older = photo.Older == 0 ? "" : $"; {photo.Older} older with the job";
            s.Photo($"{shown}. {photo.By}, {Day(photo.At)}{older}", photo.Number, photo.Jpeg);
        }
    }

    private static IEnumerable<string> Remarks(TaskState said) =>
        said
            .Notes.Select(n => $"{n.Value} ({n.By})")
            .Concat(said.State == FieldSaid.Wrong ? [$"Wrong: {said.Value} ({said.By})"] : Array.Empty<string>());

    internal static void Booklet(PaperDraft s, JobAnalysis a, int change)
    {
        s.Part("The electricity of this house");
        s.Text(
            "What the owner may do: look, press a test or reset button, turn a breaker. Everything behind a cover is for a licensed "
                + "electrician. Press the test buttons once a month."
        );
        PanelPapers.Directories(s, a, change);
        ResetPapers.Write(s, a);
        s.Part("What is left for later", flows: true);
        foreach (var p in a.Panels)
        {
            var free = p.Schedule.Where(r => r.Free).Select(r => r.Place).ToList();
            s.Text(
                free.Count == 0
                    ? $"{p.Panel.Name}: no space is free."
                    : $"{p.Panel.Name}: {free.Count} of {p.Panel.Spaces} spaces are free: {string.Join(", ", free)}."
            );
        }

        s.Text($"The service is used to {a.Service.Current.Value:0} A of {a.Panel?.MainBreaker ?? 0} A, by the method of the load sheet.");
        if (a.Job.Wishes.Length > 0)
        {
            s.Heading("Wishes of the walk");
            s.Table(
                [new("Room", 20), new("Wish", 24), new("In the owner's words", 56)],
                a.Job.Wishes.Select(w => new[] { a.Job.RoomById(w.Room)!.Name, WishWords.Of(w.Kind), w.Note })
            );
        }
    }

    private static string Said(TaskState said) =>
        said.State == FieldSaid.Open && said.Notes.Length == 0
            ? ""
            : string.Join(
                "; ",
                new[] { said.By.Length > 0 ? $"{said.By}, {Day(said.At)}" : "", said.Value }
                    .Concat(said.Notes.Select(n => n.Value))
                    .Where(t => t.Length > 0)
            );

    private static string Day(DateTime at) => at.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture);
}
