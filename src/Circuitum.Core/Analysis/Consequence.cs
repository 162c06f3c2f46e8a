namespace Circuitum.Core.Analysis;

/// <summary>Something that an edit changed elsewhere.</summary>
/// <param name="Subject">What it is about: a circuit or a box; none for the house.</param>
/// <param name="What">In words, with the old and the new value.</param>
/// <param name="Again">Whether work that may be done already has to be done again: a cable pulled, a breaker bought.</param>
public sealed record Consequence(Subject? Subject, string What, bool Again)
{
    /// <summary>Whether it tells money as the planner weighs it; where a price is told, two sums would answer one question.</summary>
    public bool IsWeighed { get; init; }
}
