using System.Collections.Immutable;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Protection;

/// <summary>A protective device of a circuit.</summary>
/// <param name="Kind">What it is.</param>
/// <param name="Box">The box it sits in, or none for the breaker.</param>
/// <param name="Covers">The boxes it protects.</param>
public sealed record ProtectiveDevice(DeviceKind Kind, string? Box, ImmutableArray<string> Covers)
{
    /// <summary>Whether it protects against arc faults.</summary>
    public bool ArcFault =>
        Kind
            is DeviceKind.ArcFaultBreaker
                or DeviceKind.DualFunctionBreaker
                or DeviceKind.ArcFaultReceptacle
                or DeviceKind.DualFunctionReceptacle;

    /// <summary>Whether it protects against ground faults.</summary>
    public bool GroundFault => Kind is not (DeviceKind.ArcFaultBreaker or DeviceKind.ArcFaultReceptacle);

    /// <summary>The short mark for the schedule.</summary>
    public string Mark =>
        Kind switch
        {
            DeviceKind.ArcFaultBreaker => "AFCI",
            DeviceKind.GroundFaultBreaker => "GFCI",
            DeviceKind.DualFunctionBreaker => "AFCI/GFCI",
            DeviceKind.ArcFaultReceptacle => "AFCI receptacle",
            DeviceKind.DualFunctionReceptacle => "AFCI/GFCI receptacle",
            _ => "GFCI receptacle",
        };
}

/// <summary>Kinds of protective device.</summary>
public enum DeviceKind
{
    /// <summary>Arc-fault breaker, combination type.</summary>
    ArcFaultBreaker,

    /// <summary>Ground-fault breaker.</summary>
    GroundFaultBreaker,

    /// <summary>Breaker with both functions.</summary>
    DualFunctionBreaker,

    /// <summary>Ground-fault receptacle; protects itself and what is on its load terminals.</summary>
    GroundFaultReceptacle,

    /// <summary>Outlet-type arc-fault receptacle, first on its circuit.</summary>
    ArcFaultReceptacle,

    /// <summary>Receptacle with both functions, first on its circuit.</summary>
    DualFunctionReceptacle,
}

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
