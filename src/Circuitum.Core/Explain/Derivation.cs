using System.Collections.Immutable;

namespace Circuitum.Core.Explain;

/// <summary>
/// How a number came about: what it is, the formula in words and symbols, the inputs with their units, the result and
/// where the rule stands. A small tree: an input that was itself worked out is a step.
/// </summary>
/// <param name="What">What the number is, such as "Load on the circuit".</param>
/// <param name="Result">The result with its unit, as shown.</param>
public sealed record Derivation(string What, string Result)
{
    /// <summary>The formula, with the numbers put in. Empty for a plain fact.</summary>
    public string Formula { get; init; } = "";

    /// <summary>The section or practice it rests on. Empty for plain arithmetic.</summary>
    public string Citation { get; init; } = "";

    /// <summary>A sentence that explains a choice, when the formula alone does not.</summary>
    public string Because { get; init; } = "";

    /// <summary>The steps that led here, in the order in which a person would write them.</summary>
    public ImmutableArray<Derivation> Steps { get; init; } = [];

    /// <summary>A plain fact as an input: a nameplate, a measured length, a setting.</summary>
    public static Derivation Fact(string what, string value, string because = "") => new(what, value) { Because = because };
}
