namespace Circuitum.Storage;

/// <summary>A set of papers that was issued.</summary>
/// <param name="Number">Rising from 1.</param>
/// <param name="Name">What it was issued for.</param>
/// <param name="Stamp">The change number on its papers.</param>
/// <param name="Issued">When, UTC.</param>
public sealed record IssuedSet(int Number, string Name, int Stamp, DateTime Issued);
