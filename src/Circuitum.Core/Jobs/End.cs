namespace Circuitum.Core.Jobs;

/// <summary>One end of a wall, seen along its direction.</summary>
public enum End
{
    /// <summary>Nearer the wall's first corner.</summary>
    Start,

    /// <summary>Nearer its second corner.</summary>
    Finish,
}
