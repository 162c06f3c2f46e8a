using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Codes;

/// <summary>An appliance of the job with what its plate leaves out filled in from the library.</summary>
/// <param name="Appliance">The appliance.</param>
/// <param name="Type">Its library entry.</param>
/// <param name="Supply">The supply that it hangs on.</param>
public sealed record ApplianceFacts(Appliance Appliance, ApplianceType Type, Supply Supply)
{
    /// <summary>The facts of an appliance of a job.</summary>
    public static ApplianceFacts Of(Job job, Appliance appliance) =>
        new(appliance, CodeLibrary.Appliances[appliance.Type], CodeLibrary.SupplyOf(job));

    /// <summary>Whether an appliance is known by a trait; none is not.</summary>
    public static bool Has(Appliance? appliance, ApplianceTrait trait) =>
        appliance is not null && CodeLibrary.Appliances[appliance.Type].Has(trait);

    /// <summary>What the schedule calls it.</summary>
    public string Name => Appliance.Name.Length > 0 ? Appliance.Name : Type.Name;

    /// <summary>Its voltage.</summary>
    public int Volts => Appliance.Nameplate.Volts ?? Supply.Volts(Supply.Usual(Type.Connection));

    /// <summary>How many lines it hangs on.</summary>
    public Connection Connection => Supply.At(Volts);

    /// <summary>Whether nobody has read its plate although it decides wire and breaker: that of an appliance on two lines.</summary>
    public bool IsUnread => !Appliance.Nameplate.Confirmed && Connection == Connection.TwoLines;

    /// <summary>Load.</summary>
    public VoltAmperes Load => new(Appliance.Nameplate.VoltAmperes ?? (Appliance.Nameplate.Amperes * Volts) ?? Type.Va);

    /// <summary>Whether the plate states a load, by volt-amperes or amperes.</summary>
    public bool Stated => Appliance.Nameplate.VoltAmperes is not null || Appliance.Nameplate.Amperes is not null;

    /// <summary>Whether it is wired in rather than plugged in.</summary>
    public bool Hardwired => Appliance.Nameplate.Hardwired ?? Type.Hardwired;

    /// <summary>Fastened in place: wired in, built in, hung up or piped, and not what one carries away (220.53, 210.23).</summary>
    public bool FastenedInPlace => Hardwired || Type.Fastened;

    /// <summary>Whether it takes a neutral: on one line always, on two where the type has parts for one.</summary>
    public bool Neutral => Connection == Connection.OneLine || Type is { Neutral: true, Connection: Connection.TwoLines };

    /// <summary>What cuts it off beside its breaker: what has a plug needs no disconnect.</summary>
    public Cutoff Cutoff => Type.Cutoff is Cutoff.Sight or Cutoff.Service && !Hardwired ? Cutoff.None : Type.Cutoff;

    /// <summary>Whether a motor is all or most of it, so that 430.22 and 430.24 hold for its circuit.</summary>
    public bool MotorLoad => Type.Motor && MinimumCircuitAmpacity is null;

    /// <summary>Minimum circuit ampacity, where there is one. A load stated on the plate without one has none.</summary>
    public double? MinimumCircuitAmpacity => Appliance.Nameplate.MinimumCircuitAmpacity ?? (Stated ? null : Type.Mca);

    /// <summary>Largest breaker, where the maker names one.</summary>
    public int? MaximumBreaker => Appliance.Nameplate.MaximumBreaker ?? (Stated ? null : Type.MaxBreaker);

    // A plug of 13 A and a fused connection carry so much at 230 V.
    private const double MostOnSocketVa = 3000;

    /// <summary>On what circuit of a split board it hangs.</summary>
    public BoardUse BoardUse =>
        Type.Has(ApplianceTrait.WaterHeater) ? BoardUse.WaterHeating
        : Type.Hvac && (Type.Cooling || Type.HeatPump) ? BoardUse.Cooling
        : Type.Cooking && Load.Value > MostOnSocketVa ? BoardUse.Cooking
        : Connection != Connection.OneLine || Load.Value > MostOnSocketVa || Appliance.Nameplate.OwnCircuit == true ? BoardUse.Fixed
        : Type.Overhead ? BoardUse.Lighting
        : BoardUse.Sockets;

    /// <summary>Whether its load is continuous under the job's preferences.</summary>
    public bool Continuous(Preferences preferences) =>
        Appliance.Nameplate.Continuous ?? (Type.Continuous || (Type.Has(ApplianceTrait.Dishwasher) && preferences.DishwasherContinuous));

    /// <summary>Whether it has a circuit of its own under the job's preferences.</summary>
    public bool Own(Preferences preferences) =>
        Appliance.Nameplate.OwnCircuit ?? (Type.Has(ApplianceTrait.Refrigerator) ? preferences.RefrigeratorAlone : Type.Own);
}
