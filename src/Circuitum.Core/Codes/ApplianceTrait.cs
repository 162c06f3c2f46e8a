namespace Circuitum.Core.Codes;

/// <summary>What rules and planning know an appliance by, so that no code asks for one by its name.</summary>
public enum ApplianceTrait
{
    /// <summary>What heats water as it flows, a pool or a hot tub: in a load by floor area it counts in full.</summary>
    FullDemand,

    /// <summary>Oven and cooktop in one.</summary>
    Range,

    /// <summary>A cooktop by itself.</summary>
    Cooktop,

    /// <summary>An oven by itself.</summary>
    Oven,

    /// <summary>One cooks on top of it, by whatever fuel.</summary>
    CookingSurface,

    /// <summary>With a sink beside it food or drink is prepared there for good.</summary>
    FoodPlace,

    /// <summary>May hang on a small-appliance circuit although it has its own place.</summary>
    SmallApplianceGuest,

    /// <summary>A kitchen refrigerator.</summary>
    Refrigerator,

    /// <summary>Washes dishes.</summary>
    Dishwasher,

    /// <summary>Grinds food waste, and is switched over the counter.</summary>
    Disposer,

    /// <summary>Washes clothes.</summary>
    Washer,

    /// <summary>Dries clothes by electricity.</summary>
    Dryer,

    /// <summary>Where it stands is a laundry area.</summary>
    LaundryEquipment,

    /// <summary>Hangs from a ceiling box and turns.</summary>
    CeilingFan,

    /// <summary>Has a switch of its own beside the light's.</summary>
    OwnSwitch,

    /// <summary>Nobody notices when it is dead: better not behind a device that others trip.</summary>
    KeptClear,

    /// <summary>Keeps water out of a basement.</summary>
    SumpPump,

    /// <summary>Heats water for the taps by electricity.</summary>
    WaterHeater,
}
