using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Geometry;

namespace Circuitum.Formats.Drawings;

/// <summary>A plan while it is composed.</summary>
/// <param name="a">The analysis.</param>
/// <param name="view">How it is drawn.</param>
/// <param name="rooms">The rooms on it.</param>
/// <param name="plan">What they cover, in inches.</param>
/// <param name="scale">Pixels to an inch.</param>
internal sealed class Composition(JobAnalysis a, PlanView view, ImmutableArray<RoomShape> rooms, Area plan, double scale)
    : LabelledSheet(plan.Grow(MarginPixels / scale), scale)
{
    // Around the plan, for what stands outside of walls.
    internal const double MarginPixels = 26;

    internal JobAnalysis A => a;

    internal PlanView View => view;

    internal ImmutableArray<RoomShape> Rooms => rooms;

    /// <summary>What is shown at this scale.</summary>
    internal Detail Detail => new(Scale);
}
