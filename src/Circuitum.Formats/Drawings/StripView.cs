using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;

namespace Circuitum.Formats.Drawings;

/// <summary>How a wall is drawn that is seen from its room.</summary>
public sealed record StripView
{
    /// <summary>What is picked.</summary>
    public string Selected { get; init; } = "";

    /// <summary>Gives the address of a box; none for paper.</summary>
    public Func<Box, string>? Link { get; init; }

    /// <summary>The cables in it; none leaves them out.</summary>
    public WallCables? Cables { get; init; }

    /// <summary>How wide it may be, in pixels. A long wall becomes wider where its scale would be too small to work from.</summary>
    public double Wide { get; init; } = 720;

    /// <summary>Most pixels to an inch: a short wall is not drawn larger than is of use.</summary>
    public double MostScale { get; init; } = 4;

    /// <summary>Fewest pixels to an inch.</summary>
    public double LeastScale { get; init; } = 2.2;
}
