namespace Circuitum.Core.Jobs;

/// <summary>Where large appliances go when there is a sub-panel.</summary>
public enum LargeAppliances
{
    /// <summary>Into the main panel, past the sub-panel, so that the feeder stays small.</summary>
    MainPanel,

    /// <summary>Into the nearest panel.</summary>
    NearestPanel,
}
