using System.Collections.Immutable;

namespace Circuitum.Core.Codes;

/// <summary>What share of a load runs on an ordinary evening, by practice. No code asks for it.</summary>
public sealed record ExpectedShares
{
    /// <summary>Lights.</summary>
    public double Light { get; init; }

    /// <summary>Receptacles for general use.</summary>
    public double Receptacle { get; init; }

    /// <summary>Small-appliance circuits.</summary>
    public double SmallAppliance { get; init; }

    /// <summary>Laundry circuits.</summary>
    public double Laundry { get; init; }

    /// <summary>What runs for hours, and what is always on.</summary>
    public double Continuous { get; init; }

    /// <summary>Other appliances.</summary>
    public double Appliance { get; init; }

    /// <summary>Appliances that differ, by type.</summary>
    public ImmutableDictionary<string, double> Types { get; init; } = ImmutableDictionary<string, double>.Empty;
}
