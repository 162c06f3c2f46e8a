using System.Collections.Immutable;
using Circuitum.Core.Codes;

namespace Circuitum.Core.Bench;

/// <summary>The door to the bench: all its questions, and how one is asked.</summary>
public static class BenchDesk
{
    // Before the questions, which read them when they are made.
    internal static readonly ImmutableArray<string> Editions =
    [
        .. CodeLibrary.EditionIds.Where(id => CodeLibrary.Edition(id).Board is null),
    ];

    // Those of split boards, which have questions of their own.
    internal static readonly ImmutableArray<string> Boards = [.. CodeLibrary.EditionIds.Except(Editions)];

    // Those of the family that has the most.
    internal static readonly ImmutableArray<string> UsEditions = [.. CodeLibrary.IdsOf(CodeLibrary.Newest.Family)];

    internal static readonly ImmutableArray<string> YesNo = ["yes", "no"];

    /// <summary>The questions, in the order in which they are shown.</summary>
    public static ImmutableArray<BenchQuestion> Questions { get; } =
    [
        WireBench.Wire,
        WireBench.Drop,
        WireBench.Grouping,
        BoxBench.Box,
        BoxBench.Conduit,
        CircuitBench.Circuit,
        CircuitBench.Range,
        ServiceBench.Service,
        SpacingBench.Walls,
        LampBench.Lamps,
        BoardBench.Circuit,
        BoardBench.Lines,
        ReelBench.Reels,
    ];

    /// <summary>The question with a name, or none.</summary>
    public static BenchQuestion? Find(string name) => Questions.FirstOrDefault(q => q.Name == name);

    /// <summary>Asks a question.</summary>
    /// <param name="question">The question.</param>
    /// <param name="told">Names and values as they came.</param>
    /// <exception cref="BenchException">Something told is wrong or missing.</exception>
    public static BenchAnswer Ask(BenchQuestion question, IEnumerable<(string Name, string Value)> told)
    {
        var input = new BenchInput(question, told);
        foreach (var field in question.Fields.Where(f => f.Needed))
            _ = input.Text(field.Name);
        return question.Work(input);
    }
}
