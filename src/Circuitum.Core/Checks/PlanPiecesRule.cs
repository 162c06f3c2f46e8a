using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Checks;

/// <summary>Pieces that were put down one in the other.</summary>
internal sealed class PlanPiecesRule : CheckedRule
{
    // What is measured with a tape is not measured closer.
    private const double Inches = 2;

    internal override string Id => "plan.pieces";

    private readonly record struct Piece(Subject Is, string Name, (double W, double N, double E, double S) Box, bool FitsIn, bool Holds);

    internal override IEnumerable<Finding> InHouse(JobAnalysis a) => a.House.Rooms.SelectMany(r => InRoom(a, r));

    private IEnumerable<Finding> InRoom(JobAnalysis a, RoomShape room)
    {
        var pieces = Pieces(a.Job, room).ToList();
        for (var i = 0; i < pieces.Count; i++)
        {
            for (var j = i + 1; j < pieces.Count; j++)
            {
                var (one, two) = (pieces[i], pieces[j]);
                if (Over(one.Box, two.Box) && !Belongs(one, two) && !Belongs(two, one))
                    yield return Breach(a, $"{room.Room.Name}: {one.Name} and {two.Name} stand in the same place.", one.Is, two.Is);
            }
        }
    }

    private static bool Belongs(Piece piece, Piece around) => piece.FitsIn && around.Holds;

    // What hangs over others or takes no floor is none.
    private static IEnumerable<Piece> Pieces(Job job, RoomShape room)
    {
        foreach (var counter in job.Counters.Where(c => c.Room == room.Room.Id))
            yield return new(Subject.Counter(counter.Id), "a counter", Places.Box(room, counter.Spot), true, true);
        foreach (var f in job.Fixtures.Where(f => f.Room == room.Room.Id && f.Bottom is null))
        {
            if (f.Kind is FixtureKind.Beam or FixtureKind.Duct or FixtureKind.Meter)
                continue;
            var cabinet = f.Kind == FixtureKind.Cabinet;
            var fits = cabinet || f.Kind is FixtureKind.Sink or FixtureKind.Basin or FixtureKind.Post;
            yield return new(Subject.Fixture(f.Id), $"a {f.Kind.ToString().ToLowerInvariant()}", Places.Box(room, f.Spot), fits, cabinet);
        }

        foreach (
            var x in job.Appliances.Where(x => x.Room == room.Room.Id).Select(x => ApplianceFacts.Of(job, x)).Where(x => x.Type.TakesFloor)
        )
        {
            var fits = x.Type.Group == ThingGroup.Kitchen || x.Type.Laundry;
            yield return new(Subject.Appliance(x.Appliance.Id), x.Name, Places.Box(room, x.Appliance.Spot), fits, false);
        }
    }

    private static bool Over((double W, double N, double E, double S) a, (double W, double N, double E, double S) b) =>
        Math.Min(a.E, b.E) - Math.Max(a.W, b.W) > Inches && Math.Min(a.S, b.S) - Math.Max(a.N, b.N) > Inches;
}
