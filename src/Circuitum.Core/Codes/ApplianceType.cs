using System.Collections.Immutable;

namespace Circuitum.Core.Codes;

/// <summary>A typical household appliance.</summary>
public sealed record ApplianceType
{
    /// <summary>Key in a job.</summary>
    public required string Id { get; init; }

    /// <summary>What it is called.</summary>
    public required string Name { get; init; }

    /// <summary>Where it is looked for.</summary>
    public required ThingGroup Group { get; init; }

    /// <summary>How many lines it usually hangs on.</summary>
    public required Connection Connection { get; init; }

    /// <summary>Typical load in volt-amperes.</summary>
    public double Va { get; init; }

    /// <summary>Needs a neutral.</summary>
    public bool Neutral { get; init; }

    /// <summary>Usually hardwired.</summary>
    public bool Hardwired { get; init; }

    /// <summary>A continuous load: three hours or more, or taken so by rule.</summary>
    public bool Continuous { get; init; }

    /// <summary>Electric space heating.</summary>
    public bool Heating { get; init; }

    /// <summary>Driven by a motor.</summary>
    public bool Motor { get; init; }

    /// <summary>Rating of its motor in horsepower, or none when it has none or it is not known.</summary>
    public double? Hp { get; init; }

    /// <summary>Fastened in place although it may have a plug (220.53, 210.23): built in, hung up or piped.</summary>
    public bool Fastened { get; init; }

    /// <summary>What cuts it off beside its breaker.</summary>
    public Cutoff Cutoff { get; init; }

    /// <summary>
    /// Its receptacle belongs in the space beside it, where a hand gets at it with the appliance in its place (422.16(B)).
    /// </summary>
    public bool OutletBeside { get; init; }

    /// <summary>Burns fuel, so that the house needs alarms for carbon monoxide (R315).</summary>
    public bool Fuel { get; init; }

    /// <summary>Cools and does not heat.</summary>
    public bool Cooling { get; init; }

    /// <summary>Heats and cools with one compressor.</summary>
    public bool HeatPump { get; init; }

    /// <summary>Heating or cooling equipment that calls for a service receptacle.</summary>
    public bool Hvac { get; init; }

    /// <summary>Household cooking; goes by the demand table.</summary>
    public bool Cooking { get; init; }

    /// <summary>Vehicle charging.</summary>
    public bool Charging { get; init; }

    /// <summary>Stands on its feet and can be pulled out: the wall behind it counts as wall space.</summary>
    public bool Movable { get; init; }

    /// <summary>Hangs on a wall over what stands there, or in what stands there.</summary>
    public bool Hung { get; init; }

    /// <summary>Whether nothing else can stand where it stands.</summary>
    public bool TakesFloor => !Overhead && !Hung;

    /// <summary>Has a circuit of its own by rule or by common practice.</summary>
    public bool Own { get; init; }

    /// <summary>A rule demands a circuit of its own.</summary>
    public bool Individual { get; init; }

    /// <summary>Belongs to the laundry circuit.</summary>
    public bool Laundry { get; init; }

    /// <summary>Belongs to a garage receptacle circuit.</summary>
    public bool Garage { get; init; }

    /// <summary>Hangs on a lighting circuit.</summary>
    public bool Lighting { get; init; }

    /// <summary>Breaker that is usual for it, in amperes; larger than the least where practice is.</summary>
    public int? Breaker { get; init; }

    /// <summary>Typical minimum circuit ampacity.</summary>
    public double? Mca { get; init; }

    /// <summary>Typical maximum breaker.</summary>
    public int? MaxBreaker { get; init; }

    /// <summary>What it is known by.</summary>
    public ImmutableArray<ApplianceTrait> Traits { get; init; } = [];

    /// <summary>Whether it is known by a trait.</summary>
    public bool Has(ApplianceTrait trait) => Traits.Contains(trait);

    /// <summary>Usual height of its outlet in inches; -1 is the ceiling.</summary>
    public double OutletHeightIn { get; init; }

    /// <summary>How wide it usually is, in inches along its wall.</summary>
    public double WideIn { get; init; }

    /// <summary>How deep it usually is, in inches.</summary>
    public double DeepIn { get; init; }

    /// <summary>Whether it hangs from the ceiling and so is free of walls.</summary>
    public bool Overhead => OutletHeightIn < 0;
}
