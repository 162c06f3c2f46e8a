namespace Circuitum.Core.Jobs;

/// <summary>What a home run is made of.</summary>
public enum HomeRunMethod
{
    /// <summary>Nonmetallic-sheathed cable.</summary>
    Sheathed,

    /// <summary>Metal-clad or armored cable, or steel raceway, with a metal box at the first outlet.</summary>
    Metal,
}
