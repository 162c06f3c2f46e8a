using System.Collections.Immutable;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Protection;

/// <summary>The protection of one circuit.</summary>
/// <param name="ArcFault">Some box needs arc-fault protection.</param>
/// <param name="GroundFault">Some box needs ground-fault protection.</param>
/// <param name="Devices">The devices, breaker first.</param>
/// <param name="Reason">Why these.</param>
public sealed record CircuitProtection(bool ArcFault, bool GroundFault, ImmutableArray<ProtectiveDevice> Devices, string Reason)
{
    /// <summary>The short mark for the schedule.</summary>
    public string Mark => string.Join(" + ", Devices.Select(d => d.Mark));

    /// <summary>What the breaker itself protects against: <c>AF</c>, <c>GF</c>, <c>AF GF</c>, or nothing.</summary>
    public string BreakerMark =>
        Devices.FirstOrDefault(d => d.Box is null)?.Kind switch
        {
            DeviceKind.ArcFaultBreaker => "AF",
            DeviceKind.GroundFaultBreaker => "GF",
            DeviceKind.DualFunctionBreaker => "AF GF",
            _ => "",
        };

    /// <summary>The device in a box, or none.</summary>
    public ProtectiveDevice? In(string box) => Devices.FirstOrDefault(d => d.Box == box);

    /// <summary>A box in which a protective receptacle would be in reach: a general one on a wall, not behind an appliance.</summary>
    public static bool CanHoldDevice(Box box) =>
        box.Kind == BoxKind.Receptacle && box.Wall is not null && box.Height <= Measure.Length.Inches(66);
}
