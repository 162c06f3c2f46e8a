using System.Collections.Immutable;
using Circuitum.Core.Explain;

namespace Circuitum.Core.Bench;

/// <summary>An answer.</summary>
/// <param name="Values">The results by name: numbers, words, yes or no, or lists of them.</param>
/// <param name="Derivation">How it came about.</param>
public sealed record BenchAnswer(ImmutableArray<(string Name, object? Value)> Values, Derivation Derivation)
{
    /// <summary>A result.</summary>
    public object? this[string name] => Values.FirstOrDefault(v => v.Name == name).Value;
}
