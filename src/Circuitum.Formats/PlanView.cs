using System.Collections.Immutable;
using Circuitum.Core.Analysis;

namespace Circuitum.Formats;

/// <summary>How a plan is drawn.</summary>
/// <param name="Storey">The storey.</param>
/// <param name="Stage">What is drawn strongest.</param>
/// <param name="Selected">What is picked: <c>box:ID</c>, <c>room:ID</c>, <c>wall:ROOM:N</c>, <c>opening:ID</c>, <c>circuit:N</c>, or
/// nothing.</param>
/// <param name="StandAlone">Carries its own styles, for a file.</param>
/// <param name="Pictures">Address before a traced picture's name; empty leaves the picture out.</param>
/// <param name="Only">Shows just this room with what stands right around it; empty shows the storey.</param>
/// <param name="Without">Shows the house without this, or none.</param>
/// <param name="Changed">Boxes to ring, or none.</param>
public sealed record PlanView(
    string Storey,
    PlanStage Stage,
    string Selected = "",
    bool StandAlone = false,
    string Pictures = "",
    string Only = "",
    Outage? Without = null,
    IReadOnlySet<string>? Changed = null
)
{
    // What is left for the plan on a screen of 1280 by 800.
    private static readonly (double Wide, double Tall) Usual = (800, 630);

    /// <summary>Shows just these rooms, those of one building of several on the lot; none shows the storey.</summary>
    public ImmutableHashSet<string>? Among { get; init; }

    /// <summary>The size of the canvas in pixels for which labels find their places.</summary>
    public (double Wide, double Tall) Canvas { get; init; } = Usual;

    /// <summary>Pixels to an inch, where a scale is stated; none fits the canvas.</summary>
    public double? AtScale { get; init; }

    /// <summary>How much larger it is shown than what fits the canvas: more is told where there is more room.</summary>
    public double Zoom { get; init; } = 1;
}
