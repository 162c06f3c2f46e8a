using Circuitum.Core.Measure;

namespace Circuitum.Core.Routing;

/// <summary>One straight piece of a way.</summary>
/// <param name="Kind">How it goes.</param>
/// <param name="From">Where it begins on the plan.</param>
/// <param name="To">Where it ends on the plan.</param>
/// <param name="FromZ">Height of its beginning over the first floor.</param>
/// <param name="ToZ">Height of its end over the first floor.</param>
public sealed record WayPiece(WayKind Kind, Point From, Point To, Length FromZ, Length ToZ)
{
    /// <summary>Its length: along the two axes of the plan and up or down.</summary>
    public Length Length => From.RectilinearTo(To) + (FromZ - ToZ).Abs();
}
