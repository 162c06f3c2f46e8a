namespace Circuitum.Core.Simulation;

/// <summary>Faults and what opened, in words.</summary>
public static class FaultWords
{
    /// <summary>What is wrong, such as <c>neutral open</c>.</summary>
    public static string What(Fault fault) =>
        fault.Kind switch
        {
            FaultKind.OpenWire => $"{fault.Net} parted in the cable",
            FaultKind.OpenJoint => $"{fault.Net} out of its joint",
            FaultKind.HotNeutralSwapped => "hot and neutral exchanged",
            FaultKind.HotGroundSwapped => "hot and ground exchanged",
            FaultKind.GroundOff => "ground off the device",
            FaultKind.HotToNeutral => "hot touches neutral",
            FaultKind.HotToGround => "hot touches ground",
            FaultKind.NeutralToGround => "neutral touches ground",
            FaultKind.Nail => "a nail that sparks from hot to ground",
            FaultKind.LineLoadOlder => "line and load exchanged, older device",
            FaultKind.LineLoadModern => "line and load exchanged, device that will not reset so",
            _ => "both breakers of the shared neutral on one line",
        };

    /// <summary>Where it is, such as <c>in the cable from hall.r1 to hall.r2</c>.</summary>
    /// <param name="w">The network.</param>
    /// <param name="fault">The fault.</param>
    public static string Where(Wiring w, Fault fault)
    {
        if (fault.Cable is not { } cable)
            return fault.Box is { } device ? $"in {device}" : "in the panel";
        var (from, to) = (w.Cables[cable].Cable.From ?? w.Cables[cable].Cable.Via ?? "the panel", w.Cables[cable].Cable.To);
        return fault.Kind == FaultKind.OpenJoint ? $"in {fault.Box}, cable from {from} to {to}" : $"cable from {from} to {to}";
    }

    /// <summary>Why it opened.</summary>
    public static string Why(TripReason reason) =>
        reason switch
        {
            TripReason.Short => "at once, as for a short",
            TripReason.GroundFault => "some of the current came back another way",
            _ => "it sparked",
        };
}
