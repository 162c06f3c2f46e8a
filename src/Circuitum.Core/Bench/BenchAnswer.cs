using System.Collections.Immutable;
using Circuitum.Core.Explain;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Bench;

/// <summary>An answer.</summary>
/// <param name="Values">The results by name: numbers, words, yes or no, or lists of them.</param>
/// <param name="Derivation">How it came about.</param>
public sealed record BenchAnswer(ImmutableArray<(string Name, object? Value)> Values, Derivation Derivation)
{
    /// <summary>The results; what is a quantity of its own is told as text.</summary>
    public ImmutableArray<(string Name, object? Value)> Values { get; } =
    [.. Values.Select(v => (v.Name, v.Value is WireSize size ? size.ToString() : v.Value))];

    /// <summary>A result.</summary>
    public object? this[string name] => Values.FirstOrDefault(v => v.Name == name).Value;
}
