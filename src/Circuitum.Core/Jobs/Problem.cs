namespace Circuitum.Core.Jobs;

/// <summary>Something wrong with what was given, said so that a person can mend it.</summary>
/// <param name="Field">The field, as a path: <c>rooms[3].outline</c>.</param>
/// <param name="Sentence">What is wrong and what to do.</param>
public sealed record Problem(string Field, string Sentence)
{
    /// <inheritdoc/>
    public override string ToString() => Field.Length == 0 ? Sentence : $"{Field}: {Sentence}";
}
