namespace Circuitum.Core.Loads;

/// <summary>Which limit a circuit's loads break, if any.</summary>
/// <param name="RuleId">The rule.</param>
/// <param name="Sentence">The numbers that led to it.</param>
public sealed record LoadBreach(string RuleId, string Sentence);
