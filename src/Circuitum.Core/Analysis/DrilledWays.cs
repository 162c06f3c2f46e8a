using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Routing;

namespace Circuitum.Core.Analysis;

/// <summary>Which members the ways of cables go through, and how their holes are shared.</summary>
internal static class DrilledWays
{
    /// <summary>A cable on its way through a hole.</summary>
    /// <param name="Circuit">Which circuit.</param>
    /// <param name="CableSegment">Which of its cables.</param>
    /// <param name="Inches">How thick.</param>
    /// <param name="Carrying">Its current-carrying wires: a neutral that two circuits share carries only what is unbalanced.</param>
    internal sealed record Passing(int Circuit, CableSegment CableSegment, double Inches, int Carrying)
    {
        /// <summary>At a plate, how far the cable runs upright beside it; a piece through several is shared among them.</summary>
        internal Length Upright { get; init; }
    }

    /// <summary>What comes together at each place that is bored, by its member and the place in it.</summary>
    internal static Dictionary<(BoredMember Member, string At), List<Passing>> Through(JobAnalysis a, SortedSet<string> unknown)
    {
        var holes = new Dictionary<(BoredMember Member, string At), List<Passing>>();
        var garage = new GarageWall(a);
        foreach (var c in a.Circuits)
        {
            foreach (var segment in c.Run.Cables)
            {
                var cable = c.CableOf(segment);
                Pass(a, garage, a.RouteOf(segment), new Passing(c.Number, segment, cable.InchesWide, cable.Carrying), holes, unknown);
            }
        }

        return holes;
    }

    /// <summary>
    /// The holes of one place: so many cables in each as the job allows and the member takes, and holes of their own for those that
    /// would lose ampacity among others.
    /// </summary>
    internal static List<Passing[]> Bored(JobAnalysis a, BoredMember member, List<Passing> cables)
    {
        var alone = cables.Where(c => a.Apart.Contains(c.Circuit)).Select(c => new[] { c });
        return
        [
            .. alone,
            .. Bores.Holes(
                cables.Where(c => !a.Apart.Contains(c.Circuit)),
                c => c.Inches,
                a.Job.Preferences.CablesPerHole,
                member.LargestIn
            ),
        ];
    }

    private static void Pass(
        JobAnalysis a,
        GarageWall garage,
        CableRoute route,
        Passing cable,
        Dictionary<(BoredMember, string), List<Passing>> holes,
        SortedSet<string> unknown
    )
    {
        void Hole(BoredMember member, string at, Passing passing)
        {
            if (!holes.TryGetValue((member, at), out var there))
                holes[(member, at)] = there = [];
            there.Add(passing);
        }

        for (var i = 0; i < route.Pieces.Length; i++)
        {
            var piece = route.Pieces[i];
            switch (piece.Kind)
            {
                case WayKind.Wall when i > 0 || route.Pieces.Length > 1:
                    // Where a wall meets a field its plate is in between; one bay takes as many cables as its holes allow.
                    BoredMember[] plates = [.. PlatesOf(a, garage, piece)];
                    foreach (var plate in plates)
                        Hole(plate, Bay(a, piece.From), cable with { Upright = piece.Length / plates.Length });
                    break;
                case WayKind.Studs:
                    var (wall, spacing) = WallOf(a, piece);
                    foreach (var stud in Crossed(piece, spacing))
                        Hole(wall, stud, cable);
                    break;
                case WayKind.Field:
                    Joists(a, piece, (member, at) => Hole(member, at, cable), unknown);
                    foreach (var crossed in garage.Crossed(piece))
                        Hole(GarageWall.Above, Bay(a, crossed), cable);
                    break;
            }
        }
    }

    // The plates that an upright piece goes through: those of each storey whose floor or ceiling lies between its ends.
    private static IEnumerable<BoredMember> PlatesOf(JobAnalysis a, GarageWall garage, WayPiece piece)
    {
        var (low, high) = piece.FromZ < piece.ToZ ? (piece.FromZ, piece.ToZ) : (piece.ToZ, piece.FromZ);
        var highest = a.Job.Storeys.MaxBy(s => s.Floor);
        foreach (var storey in a.Job.Storeys)
        {
            var ceiling =
                storey.Floor
                + a.Job.Rooms.Where(r => r.Storey == storey.Id && r.Kind is not (RoomKind.Deck or RoomKind.Outdoors))
                    .Select(r => r.CeilingHeight)
                    .DefaultIfEmpty(Length.Feet(8))
                    .Max();
            if (low < ceiling && high > ceiling)
                yield return Plates("Top plates", storey, storey != highest);
            if (low < storey.Floor && high > storey.Floor)
                yield return Plates("Bottom plates", storey, a.Job.Storeys.Length > 1);
        }

        BoredMember Plates(string which, Storey storey, bool between) =>
            garage.IsAt(storey.Id, piece.From)
                ? new($"{which}, {storey.Name}, between garage and house", MemberKind.Plates, Between: between) { Garage = true }
                : new($"{which}, {storey.Name}", MemberKind.Plates, Between: between);
    }

    private static string Bay(JobAnalysis a, Point at) =>
        $"{Math.Floor(at.X.InInches / a.Job.Frame.StudSpacing.InInches)},{Math.Floor(at.Y.InInches / a.Job.Frame.StudSpacing.InInches)}";

    private static (BoredMember Wall, Length Spacing) WallOf(JobAnalysis a, WayPiece piece)
    {
        var (shape, wall) = WallCables.WallAt(a, piece);
        var body = WallBody.Of(a.House, shape, wall);
        var steel = body.Build == WallBuild.MetalStud;
        var build =
            steel ? "metal studs"
            : Bores.DepthIn(body) == Bores.WideStudDeepIn ? "2x6 studs"
            : "2x4 studs";
        var where = $"{shape.Room.Name}, {LabelWriter.Facing(shape, wall)} wall, {build}{(body.Bearing ? ", bearing" : "")}";
        var kind = steel ? MemberKind.MetalStuds : MemberKind.Studs;
        return (
            new(where, kind, Bores.DepthIn(body), Bores.LargestIn(body)) { Wall = Subject.Wall(shape.Room.Id, wall) },
            body.StudSpacing
        );
    }

    private static IEnumerable<string> Crossed(WayPiece piece, Length spacing)
    {
        var level = (piece.From.Y - piece.To.Y).Abs() < Length.Inches(1);
        var (from, to) = level ? (piece.From.X.InInches, piece.To.X.InInches) : (piece.From.Y.InInches, piece.To.Y.InInches);
        if (from > to)
            (from, to) = (to, from);
        var across = Math.Round((level ? piece.From.Y.InInches : piece.From.X.InInches) / 6);
        for (var n = Math.Floor(from / spacing.InInches) + 1; n * spacing.InInches < to; n++)
            yield return $"{(level ? "x" : "y")}{across}:{n}";
    }

    private static void Joists(JobAnalysis a, WayPiece piece, Action<BoredMember, string> hole, SortedSet<string> unknown)
    {
        // Over the highest storey is the attic, under the lowest floor the crawl space: cable lies on or along the joists there.
        var above = a.Job.Storeys.OrderBy(s => s.Floor).FirstOrDefault(s => s.Floor > piece.FromZ);
        var below = a.Job.Storeys.OrderByDescending(s => s.Floor).FirstOrDefault(s => s.Floor <= piece.FromZ);
        if (above is null || below is null)
            return;
        var level = (piece.From.Y - piece.To.Y).Abs() < Length.Inches(1);
        foreach (var stud in Crossed(piece, DrillList.JoistSpacing))
        {
            var n =
                double.Parse(stud[(stud.IndexOf(':', StringComparison.Ordinal) + 1)..], System.Globalization.CultureInfo.InvariantCulture)
                * DrillList.JoistSpacing.InInches;
            var at = level ? new Point(Length.Inches(n), piece.From.Y) : new Point(piece.From.X, Length.Inches(n));
            if (a.House.RoomAt(below.Id, at) is not { } room)
                continue;
            if (room.Room.Joists is not { } run)
                unknown.Add(room.Room.Name);
            else if ((run == JoistRun.EastWest) != level)
                hole(
                    new(
                        $"Joists over {room.Room.Name}{(room.Room.JoistDepth is { } d ? $", {LengthText.Show(d, a.Units)} deep" : "")}",
                        MemberKind.Joists
                    ),
                    stud
                );
        }
    }
}
