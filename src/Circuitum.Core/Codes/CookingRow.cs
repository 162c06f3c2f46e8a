namespace Circuitum.Core.Codes;

/// <summary>A row of the cooking table.</summary>
/// <param name="Count">Number of appliances.</param>
/// <param name="A">Percent for those under 3.5 kW.</param>
/// <param name="B">Percent for those of 3.5 to 8.75 kW.</param>
/// <param name="C">Demand in kW for those up to 12 kW.</param>
public sealed record CookingRow(int Count, int A, int B, int C);
