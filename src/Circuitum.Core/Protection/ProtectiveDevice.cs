using System.Collections.Immutable;

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
