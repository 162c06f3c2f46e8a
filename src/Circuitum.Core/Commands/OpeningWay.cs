namespace Circuitum.Core.Commands;

/// <summary>How people say where an opening goes or how it hangs.</summary>
public enum OpeningWay
{
    /// <summary>In the middle of the free wall around it.</summary>
    Centred,

    /// <summary>In line with the sink on its wall.</summary>
    OnSink,

    /// <summary>Once more beside it, both as far from the middle between them.</summary>
    Paired,

    /// <summary>The other of the four ways in which a door hangs: the other jamb, then the other room.</summary>
    Flipped,
}
