using System.Collections.Immutable;
using Circuitum.Core.Jobs;
using Circuitum.Core.Routing;

namespace Circuitum.Core.Protection;

/// <summary>A protective device of a circuit.</summary>
/// <param name="Kind">What it is.</param>
/// <param name="Box">The box it sits in, or none for the breaker.</param>
/// <param name="Covers">The boxes it protects.</param>
public sealed record ProtectiveDevice(DeviceKind Kind, string? Box, ImmutableArray<string> Covers);

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
}

/// <summary>The protection of one circuit.</summary>
/// <param name="ArcFault">Some box needs arc-fault protection.</param>
/// <param name="GroundFault">Some box needs ground-fault protection.</param>
/// <param name="Devices">The devices, breaker first.</param>
/// <param name="Reason">Why these.</param>
public sealed record CircuitProtection(bool ArcFault, bool GroundFault, ImmutableArray<ProtectiveDevice> Devices, string Reason)
{
    /// <summary>The short mark for the schedule.</summary>
    public string Mark => Devices.Length == 0 ? "" : string.Join(" + ", Devices.Select(d => d.Kind switch
    {
        DeviceKind.ArcFaultBreaker => "AFCI",
        DeviceKind.GroundFaultBreaker => "GFCI",
        DeviceKind.DualFunctionBreaker => "AFCI/GFCI",
        _ => "GFCI receptacle",
    }));

    /// <summary>A box in which a ground-fault receptacle would be in reach: a general one on a wall, not behind an appliance.</summary>
    public static bool CanHoldDevice(Box box) => box.Kind == BoxKind.Receptacle && box.Wall is not null && box.Height <= Measure.Length.Inches(66);

    /// <summary>Whether the circuit's ground-fault device belongs in its first receptacle.</summary>
    public static bool InReceptacle(bool groundFault, bool arcFault, int volts, ProtectionPlace? chosen, ProtectionPlace preferred, IEnumerable<Box> boxes) =>
        groundFault && volts == 120 && (chosen ?? (arcFault ? ProtectionPlace.Breaker : preferred)) == ProtectionPlace.FirstReceptacle && boxes.Any(CanHoldDevice);

    /// <summary>Puts the devices of a circuit.</summary>
    /// <param name="needs">What each box needs.</param>
    /// <param name="inReceptacle">Ground-fault protection in the first receptacle.</param>
    /// <param name="run">The circuit's cable; its first box holds the device.</param>
    public static CircuitProtection Of(IReadOnlyDictionary<string, ImmutableArray<ProtectionNeed>> needs, bool inReceptacle, RunEstimate run)
    {
        var arc = needs.Values.Any(n => n.Any(x => x.Kind == ProtectionKind.ArcFault));
        var ground = needs.Values.Any(n => n.Any(x => x.Kind == ProtectionKind.GroundFault));
        ImmutableArray<string> all = [.. run.Hops.Select(h => h.To)];
        var devices = ImmutableArray.CreateBuilder<ProtectiveDevice>();
        if (arc) devices.Add(new(ground && !inReceptacle ? DeviceKind.DualFunctionBreaker : DeviceKind.ArcFaultBreaker, null, all));
        if (ground && inReceptacle && run.First is { } first) devices.Add(new(DeviceKind.GroundFaultReceptacle, first, [.. run.Through(first).Order(StringComparer.Ordinal)]));
        else if (ground && !arc) devices.Add(new(DeviceKind.GroundFaultBreaker, null, all));
        var reason = (arc, ground) switch
        {
            (true, true) when inReceptacle => "An arc-fault breaker, and a ground-fault receptacle first in the chain.",
            (true, true) => "Both kinds are needed: one breaker with both functions.",
            (true, false) => "One covered outlet or switch makes the whole circuit need arc-fault protection.",
            (false, true) when inReceptacle => "A ground-fault receptacle first in the chain protects itself and all that is on its load terminals.",
            (false, true) => "A ground-fault breaker protects the whole circuit.",
            _ => "No outlet on it needs either.",
        };
        return new(arc, ground, devices.ToImmutable(), reason);
    }
}
