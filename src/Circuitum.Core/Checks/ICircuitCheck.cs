namespace Circuitum.Core.Checks;

/// <summary>A check that looks at each circuit by itself, so that it can be asked of one that is not made yet.</summary>
internal interface ICircuitCheck : ICheck;
