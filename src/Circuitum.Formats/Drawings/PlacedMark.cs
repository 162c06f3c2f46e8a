using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Formats.Drawings;

/// <summary>A box's symbol at its place.</summary>
internal sealed class PlacedMark(
    RoomShape room,
    Box box,
    Symbols.Symbol symbol,
    Point anchor,
    (double X, double Y) shift,
    (double X, double Y)? into,
    double scale
)
{
    internal RoomShape Room => room;

    internal Box Box => box;

    internal Symbols.Symbol Symbol => symbol;

    /// <summary>The place on the plan.</summary>
    internal Point Anchor => anchor;

    /// <summary>The direction away from the wall that it is on; none for one that is on no wall.</summary>
    internal (double X, double Y)? Into => into;

    /// <summary>The direction of that wall.</summary>
    internal (double X, double Y)? Along => into is { } away ? (away.Y, -away.X) : null;

    /// <summary>How far the symbol stands from its place, in pixels.</summary>
    internal (double X, double Y) Shift { get; private set; } = shift;

    /// <summary>The middle of the symbol, in pixels.</summary>
    internal (double X, double Y) Middle => ((anchor.X.InInches * scale) + Shift.X, (anchor.Y.InInches * scale) + Shift.Y);

    /// <summary>What it covers.</summary>
    internal Area Area => Area.Around(Middle.X, Middle.Y, symbol.Wide, symbol.Tall);

    internal void Push(double x, double y) => Shift = (Shift.X + x, Shift.Y + y);
}
