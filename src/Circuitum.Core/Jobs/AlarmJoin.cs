namespace Circuitum.Core.Jobs;

/// <summary>How smoke alarms are joined (R314.4).</summary>
public enum AlarmJoin
{
    /// <summary>By a third wire from alarm to alarm.</summary>
    Wired,

    /// <summary>By radio, as their listing says.</summary>
    Wireless,
}
