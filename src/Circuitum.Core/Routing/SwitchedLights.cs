namespace Circuitum.Core.Routing;

/// <summary>Lights with their switches on one circuit, as they are wired.</summary>
/// <param name="Group">The lights and switches.</param>
/// <param name="LegEnd">The switch box from which the switched wire goes to the lights; of three-ways the other end has the power.</param>
public sealed record SwitchedLights(SwitchGroup Group, string LegEnd);
