namespace Circuitum.Core.Entry;

/// <summary>What is wrong with a line of a typed list.</summary>
/// <param name="Line">Its number, from 1.</param>
/// <param name="Field">What of it: <c>name</c>, <c>size</c>, <c>place</c>, or the part as it was typed.</param>
/// <param name="Sentence">What was expected, with an example that would do.</param>
public sealed record LineProblem(int Line, string Field, string Sentence)
{
    /// <inheritdoc/>
    public override string ToString() => $"Line {Line}, {Field}: {Sentence}";
}
