using System.Collections.Immutable;
using Circuitum.Core.Analysis;

namespace Circuitum.Core.Field;

/// <summary>Something from the house that wants a person: what failed, what was found wrong, what was forgotten.</summary>
/// <param name="Severity">How grave.</param>
/// <param name="Sentence">What and where, by whom.</param>
/// <param name="Subject">The thing; none for what is of the whole house.</param>
/// <param name="Task">The task that it comes from, or none.</param>
public sealed record FieldRemark(Severity Severity, string Sentence, Subject? Subject, FieldTask? Task)
{
    /// <summary>All of a house, gravest first.</summary>
    /// <param name="a">The house.</param>
    /// <param name="tasks">What is to be done and looked at.</param>
    /// <param name="state">How it stands.</param>
    public static ImmutableArray<FieldRemark> Of(JobAnalysis a, IReadOnlyCollection<FieldTask> tasks, FieldState state)
    {
        var remarks = new List<FieldRemark>();
        foreach (var task in tasks)
        {
            var said = state[task.Key];
            if (said.State == FieldSaid.Wrong)
                remarks.Add(new(Severity.Must, $"{Where(a, task)}{task.Title}{Verb(task)}: {said.Value} ({said.By})", Thing(task), task));
            else if (said.Contested)
                remarks.Add(
                    new(
                        Severity.Should,
                        $"{Where(a, task)}{task.Title} was measured twice: "
                            + string.Join(", ", said.Measures.Select(m => $"{m.Value} by {m.By}")),
                        Thing(task),
                        task
                    )
                );
            else if (state.WasDoneAs(task) is { } was)
                remarks.Add(
                    new(
                        Severity.Should,
                        $"{Where(a, task)}{task.Title} was {FieldWords.Done(task.Work)} before the plan changed: "
                            + $"then {was}, now {task.Mark}",
                        Thing(task),
                        task
                    )
                );
        }

        if (Closing(tasks, state) && tasks.Where(t => t.Work == FieldWork.Photograph && !state.IsDone(t)).ToList() is { Count: > 0 } bare)
            remarks.Add(
                new(
                    Severity.Should,
                    $"{CheckOff.Count(bare.Count, "wall has", "walls have")} no picture before they are closed: "
                        + string.Join(", ", bare.Take(6).Select(t => $"{Where(a, t)}{t.Title}"))
                        + (bare.Count > 6 ? " and others" : ""),
                    bare[0].Subject,
                    bare[0]
                )
            );
        return [.. remarks.OrderBy(r => r.Severity)];
    }

    // Once cable is secured or pictures are taken the boards are near.
    private static bool Closing(IReadOnlyCollection<FieldTask> tasks, FieldState state) =>
        state[CheckOff.Visit(Inspection.RoughIn).Key].State == FieldSaid.Done
        || tasks.Any(t => t.Work is FieldWork.Secure or FieldWork.Photograph && state.IsDone(t));

    private static Subject? Thing(FieldTask task) => task.Subject.Id is { Length: > 0 } ? task.Subject : null;

    private static string Verb(FieldTask task) =>
        task.Work == FieldWork.Inspect ? " failed"
        : task.Work == FieldWork.Test ? " differs"
        : "";

    private static string Where(JobAnalysis a, FieldTask task) =>
        task.Work is FieldWork.Set or FieldWork.Pull or FieldWork.MakeUp or FieldWork.Test ? ""
        : a.Job.RoomById(task.Room) is { } room ? $"{room.Name}, "
        : "";
}
