using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Checks;

/// <summary>Boxes near a tub or a shower.</summary>
internal static class TubSpace
{
    internal static IEnumerable<(RoomShape Room, Fixture Wet, Box Box, double Inches)> Near(JobAnalysis a)
    {
        var up = a.Edition.Number("tubZoneUpIn").Length;
        foreach (var wet in a.Job.Fixtures.Where(f => f.Kind is FixtureKind.Tub or FixtureKind.Shower))
        {
            var shape = a.House[wet.Room];
            foreach (var box in a.Job.Decisions.Boxes.Where(b => b.Room == wet.Room && !b.Outside && b.Height <= up))
                yield return (shape, wet, box, Places.InchesTo(shape, wet.Spot, Places.Of(a.House, box)));
        }
    }

    /// <summary>A distance to it in words.</summary>
    internal static string Say(JobAnalysis a, double inches) => LengthText.Show(Length.Inches(inches).RoundTo(Length.Inches(1)), a.Units);

    /// <summary>What it is in words.</summary>
    internal static string Name(Fixture wet) => wet.Kind == FixtureKind.Tub ? "tub" : "shower";
}
