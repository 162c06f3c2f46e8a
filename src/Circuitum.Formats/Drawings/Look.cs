namespace Circuitum.Formats.Drawings;

/// <summary>How a shape is drawn on paper, in black on white.</summary>
/// <param name="Fill">How dark it is filled, 0 white to 1 black; none when it is not.</param>
/// <param name="Line">How dark its line is; none when it has none.</param>
/// <param name="Breadth">How broad its line is, in pixels.</param>
/// <param name="Dashes">Its pattern, line and gap in pixels; empty for a whole line.</param>
internal readonly record struct Look(float? Fill, float? Line, double Breadth, string Dashes = "")
{
    private const float Ink = 0.92f;
    private const float Grey = 0.42f;
    private const float Soft = 0.62f;

    /// <summary>The look of a shape; none for what only a hand on a screen needs.</summary>
    internal static Look? Of(Shape shape) =>
        shape.Role switch
        {
            Role.Wall or Role.Ghost or Role.HitLine or Role.Hit or Role.RunHandle or Role.Picture => null,
            Role.Mass => new(Grey, Grey, 0),
            Role.Floor when shape.State.Contains("rail", StringComparison.Ordinal) => new(0, Soft, 1, "6 3"),
            Role.Floor => new(0, null, 0),
            Role.Opening => new(null, 0, 0),
            Role.Thing or Role.Leaf or Role.Glass => new(null, Grey, 0.8, (shape as PathShape)?.Dashes ?? ""),
            Role.Symbol => Symbol(shape),
            Role.Tag when shape.State.Contains("home", StringComparison.Ordinal) => new(Ink, Ink, 1.2),
            Role.Tag or Role.Wish => new(0, Ink, 1.2),
            Role.Wiring => new(null, Ink, 1.3, Looks.Patterns[Math.Max(0, shape.Pencil - 1)]),
            Role.HomeRun when shape.State == "head" => new(Ink, null, 0),
            Role.HomeRun => new(null, Ink, 1.4),
            Role.DimensionText => new(0, null, 0),
            Role.Dimension => new(null, Soft, 0.7),
            Role.Badge or Role.Solid => new(Ink, null, 0),
            _ => new(null, Ink, 1),
        };

    /// <summary>How dark a text is.</summary>
    internal static float Text(TextShape text) =>
        text.Role switch
        {
            Role.Tag when text.State == "home" => 0,
            Role.RoomName or Role.RoomSize or Role.ThingName => 0.68f,
            _ => Ink,
        };

    private static Look Symbol(Shape shape) =>
        shape.State switch
        {
            "solid" => new(Ink, Ink, 1.2),
            "line" => new(null, Ink, 1.2),
            _ => new(0, Ink, 1.2, (shape as PathShape)?.Dashes ?? ""),
        };
}
