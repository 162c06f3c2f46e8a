namespace Circuitum.Core.Codes;

/// <summary>What a number of an edition means.</summary>
/// <param name="Name">Its name.</param>
/// <param name="Title">In words.</param>
/// <param name="Unit">Its unit, or empty for a plain number.</param>
/// <param name="Rule">The rule it belongs to.</param>
/// <param name="Least">The least that an amendment may set.</param>
/// <param name="Most">The most.</param>
public sealed record NumberMeaning(string Name, string Title, string Unit, string Rule, double Least, double Most);
