using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Entry;

/// <summary>How large things usually are, so that one that is put down need not be measured first.</summary>
public static class ThingSizes
{
    // Inches along the wall and away from it.
    private static readonly Dictionary<FixtureKind, (double Wide, double Deep)> Fixtures = new()
    {
        [FixtureKind.Sink] = (33, 22),
        [FixtureKind.Basin] = (20, 18),
        [FixtureKind.Tub] = (60, 30),
        [FixtureKind.Shower] = (36, 36),
        [FixtureKind.Toilet] = (20, 28),
        [FixtureKind.Cabinet] = (36, 24),
        [FixtureKind.Fireplace] = (48, 24),
        [FixtureKind.Beam] = (96, 6),
        [FixtureKind.Post] = (6, 6),
        [FixtureKind.Duct] = (24, 12),
        [FixtureKind.Meter] = (12, 6),
    };

    private static readonly Dictionary<OpeningKind, double> Openings = new()
    {
        [OpeningKind.Hinged] = 32,
        [OpeningKind.Pocket] = 30,
        [OpeningKind.Sliding] = 72,
        [OpeningKind.Cased] = 36,
        [OpeningKind.GarageDoor] = 108,
        [OpeningKind.Window] = 36,
    };

    /// <summary>Depth of a counter along a wall.</summary>
    public static readonly Length CounterDepth = Length.Inches(25);

    /// <summary>Length of a piece of counter that is put down by hand.</summary>
    public static readonly Length CounterPiece = Length.Inches(60);

    /// <summary>Size of a fixture.</summary>
    public static (Length Wide, Length Deep) Of(FixtureKind kind) => Inches(Fixtures[kind]);

    /// <summary>Size of an appliance.</summary>
    public static (Length Wide, Length Deep) Of(ApplianceType type) => Inches((type.WideIn, type.DeepIn));

    /// <summary>Width of an opening.</summary>
    public static Length Of(OpeningKind kind) => Length.Inches(Openings[kind]);

    private static (Length, Length) Inches((double Wide, double Deep) size) => (Length.Inches(size.Wide), Length.Inches(size.Deep));
}
