using System.Collections.Immutable;

namespace Circuitum.Core.Bench;

/// <summary>One thing that has to be told.</summary>
/// <param name="Name">Its word, such as <c>current-carrying</c>.</param>
/// <param name="Title">What it means, with its unit.</param>
/// <param name="Default">What is taken when nothing is said; empty when it may be left out or must be told.</param>
/// <param name="Choices">The words to choose from, or none for free ones.</param>
public sealed record BenchField(string Name, string Title, string Default, params ImmutableArray<string> Choices)
{
    /// <summary>May be told several times.</summary>
    public bool Many { get; init; }

    /// <summary>There is no answer without it.</summary>
    public bool Needed { get; init; }

    /// <summary>What it looks like.</summary>
    public string Example { get; init; } = "";
}
