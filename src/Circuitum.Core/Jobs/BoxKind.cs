namespace Circuitum.Core.Jobs;

/// <summary>Kinds of box.</summary>
public enum BoxKind
{
    /// <summary>A duplex receptacle for general use.</summary>
    Receptacle,

    /// <summary>A lighting outlet.</summary>
    Light,

    /// <summary>A switch box of one or more gangs.</summary>
    Switch,

    /// <summary>A smoke alarm, combined with carbon monoxide where needed.</summary>
    SmokeAlarm,

    /// <summary>The outlet of one appliance, plug or hardwired by its nameplate.</summary>
    Appliance,

    /// <summary>A capped box left for a later receptacle, as for an island counter.</summary>
    Provision,

    /// <summary>A disconnect, a service switch or a control of equipment.</summary>
    Disconnect,
}
