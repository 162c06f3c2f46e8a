namespace Circuitum.Core.Jobs;

/// <summary>Where the power of a switched light comes first.</summary>
public enum SwitchLoops
{
    /// <summary>To the switch, so that the neutral is there; a leg goes on to the light.</summary>
    SwitchFirst,

    /// <summary>To the light; a loop of three wires goes down to the switch.</summary>
    LightFirst,
}
