namespace Circuitum.Core.Codes;

/// <summary>Count adjustment up to and including a number of current-carrying conductors.</summary>
/// <param name="UpTo">Conductors.</param>
/// <param name="Factor">Factor on the ampacity.</param>
public sealed record CountRow(int UpTo, double Factor);
