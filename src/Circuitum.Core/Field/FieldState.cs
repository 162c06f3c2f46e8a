using System.Collections.Immutable;

namespace Circuitum.Core.Field;

/// <summary>How a task stands after all that was said of it.</summary>
/// <param name="State">The last word on it; <see cref="FieldSaid.Open"/> when nobody said anything.</param>
/// <param name="Value">What came with it.</param>
/// <param name="Mark">What the plan said of the task then.</param>
/// <param name="By">Who said it.</param>
/// <param name="At">When, UTC.</param>
/// <param name="Notes">Remarks, the first one first.</param>
/// <param name="Measures">What different people measured, one for each, as long as nobody has said which holds.</param>
public sealed record TaskState(
    FieldSaid State,
    string Value,
    string Mark,
    string By,
    DateTime At,
    ImmutableArray<FieldEntry> Notes,
    ImmutableArray<FieldEntry> Measures
)
{
    /// <summary>Of a task of which nothing was said.</summary>
    public static TaskState Untouched { get; } = new(FieldSaid.Open, "", "", "", default, [], []);

    /// <summary>Whether two people measured the same thing and found something else.</summary>
    public bool Contested => Measures.Select(m => m.Value.Trim()).Distinct(StringComparer.OrdinalIgnoreCase).Count() > 1;
}

/// <summary>How everything stands in the field.</summary>
public sealed class FieldState
{
    private readonly ImmutableDictionary<string, TaskState> tasks;

    private FieldState(ImmutableDictionary<string, TaskState> tasks, int upTo) => (this.tasks, UpTo) = (tasks, upTo);

    /// <summary>Nothing was said yet.</summary>
    public static FieldState None { get; } = new(ImmutableDictionary<string, TaskState>.Empty, 0);

    /// <summary>The number of the last entry that is in it.</summary>
    public int UpTo { get; }

    /// <summary>All tasks of which something was said.</summary>
    public IEnumerable<KeyValuePair<string, TaskState>> All => tasks;

    /// <summary>How a task stands.</summary>
    public TaskState this[string task] => tasks.GetValueOrDefault(task, TaskState.Untouched);

    /// <summary>Folds what was said, in the order in which it was said.</summary>
    public static FieldState Of(IEnumerable<FieldEntry> entries)
    {
        var all = entries.OrderBy(e => e.At).ThenBy(e => e.Number).ToList();
        return new(
            all.GroupBy(e => e.Task).ToImmutableDictionary(g => g.Key, g => Fold([.. g])),
            all.Count == 0 ? 0 : all.Max(e => e.Number)
        );
    }

    private static TaskState Fold(List<FieldEntry> said)
    {
        var state = TaskState.Untouched;
        foreach (var e in said)
        {
            state = e.State switch
            {
                FieldSaid.Note => state with { Notes = state.Notes.Add(e) },
                FieldSaid.Settled => state with { Value = e.Value, By = e.By, At = e.At, Measures = [] },
                FieldSaid.Open => state with { State = e.State, Value = e.Value, Mark = e.Mark, By = e.By, At = e.At, Measures = [] },
                _ => state with
                {
                    State = e.State,
                    Value =
                        e.Value.Length > 0 ? e.Value
                        : state.State == e.State ? state.Value
                        : "",
                    Mark = e.Mark,
                    By = e.By,
                    At = e.At,
                    Measures = e.Value.Length == 0 ? state.Measures : state.Measures.RemoveAll(m => m.By == e.By).Add(e),
                },
            };
        }

        return state;
    }

    /// <summary>Whether a task is done, and what was done is what is planned now.</summary>
    public bool IsDone(FieldTask task) => task.DoneAtDesk ?? this[task.Key] is { State: FieldSaid.Done } s && Fits(s, task);

    /// <summary>What the plan said when a task was done that it now says otherwise; none where nothing changed since.</summary>
    public string? WasDoneAs(FieldTask task) => this[task.Key] is { State: FieldSaid.Done } s && !Fits(s, task) ? s.Mark : null;

    // An entry without a mark was made where the plan was not at hand, and says nothing of it.
    private static bool Fits(TaskState s, FieldTask task) => s.Mark.Length == 0 || task.Mark.Length == 0 || s.Mark == task.Mark;
}
