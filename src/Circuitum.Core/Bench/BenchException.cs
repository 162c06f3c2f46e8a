namespace Circuitum.Core.Bench;

/// <summary>What was said wrongly; the sentence names the field.</summary>
/// <param name="field">The field.</param>
/// <param name="sentence">What to say instead.</param>
public sealed class BenchException(string field, string sentence) : Exception($"{field}: {sentence}")
{
    /// <summary>The field.</summary>
    public string Field { get; } = field;
}
