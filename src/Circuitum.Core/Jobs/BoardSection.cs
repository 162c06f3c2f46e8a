namespace Circuitum.Core.Jobs;

/// <summary>Ways of a board behind one residual-current device.</summary>
/// <param name="Milliamps">Rated residual current of the device, in milliamperes.</param>
/// <param name="Ways">How many ways of three lines.</param>
/// <param name="By">Who laid it out.</param>
public sealed record BoardSection(int Milliamps, int Ways, Origin By = Origin.Planner);
