namespace Circuitum.Formats.Pictures;

/// <summary>A gap in a wall: from the end of one piece to what is across.</summary>
/// <param name="X0">West edge, in pixels.</param>
/// <param name="Y0">North edge.</param>
/// <param name="X1">East edge, not in it.</param>
/// <param name="Y1">South edge, not in it.</param>
/// <param name="Across">Whether the wall runs west to east.</param>
internal readonly record struct WallGap(int X0, int Y0, int X1, int Y1, bool Across)
{
    /// <summary>Along the wall.</summary>
    internal int Length => Across ? X1 - X0 : Y1 - Y0;

    /// <summary>Through the wall.</summary>
    internal int Thick => Across ? Y1 - Y0 : X1 - X0;
}
