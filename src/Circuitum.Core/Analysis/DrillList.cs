using System.Collections.Immutable;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Routing;

namespace Circuitum.Core.Analysis;

/// <summary>Holes of one sort in one place.</summary>
/// <param name="Where">The wall, the plate or the joists, in words.</param>
/// <param name="Holes">How many to drill.</param>
/// <param name="Cables">How many cables go through them in all.</param>
/// <param name="Fullest">Most cables in one hole.</param>
/// <param name="BitSixteenths">Diameter of the bit in sixteenths of an inch.</param>
/// <param name="Note">What to mind: the distance to the face, the limit of the member, sealing.</param>
public sealed record DrillLine(string Where, int Holes, int Cables, int Fullest, int BitSixteenths, string Note)
{
    /// <summary>Whether the hole is larger than its member allows.</summary>
    public bool TooLarge => Note.StartsWith("larger than", StringComparison.Ordinal);

    /// <summary>The bit as it is marked, such as 7/8 or 1-1/8 in.</summary>
    public string Bit
    {
        get
        {
            var (whole, top, bottom) = (BitSixteenths / 16, BitSixteenths % 16, 16);
            while (top > 0 && top % 2 == 0) (top, bottom) = (top / 2, bottom / 2);
            return top == 0 ? $"{whole} in" : whole == 0 ? $"{top}/{bottom} in" : $"{whole}-{top}/{bottom} in";
        }
    }
}

/// <summary>What is drilled, protected, sealed and stapled before and after the cable is pulled.</summary>
/// <param name="Lines">The holes, place by place.</param>
/// <param name="Holes">All holes.</param>
/// <param name="Plates">Nail plates, where a hole comes nearer than 1-1/4 in to a face (300.4(A)(1)).</param>
/// <param name="Seals">Holes between storeys that are sealed against fire.</param>
/// <param name="Staples">Staples by the job's distances.</param>
/// <param name="Bushings">Bushings in holes of metal studs (300.4(B)(1)).</param>
/// <param name="JoistsUnknown">Rooms over which cable crosses joists whose direction nobody has stated.</param>
/// <param name="Open">What to mind where cable crosses open joists, under the lowest floor and in the attic, with the feet that do.</param>
public sealed record DrillList(ImmutableArray<DrillLine> Lines, int Holes, int Plates, int Seals, int Staples, int Bushings, ImmutableArray<string> JoistsUnknown, ImmutableArray<string> Open)
{
    // A hole in the middle of a 2x4 leaves 1-1/4 in to either face up to this diameter.
    private const double FaceIn = 1.25;

    internal const double StudDeepIn = 3.5, WideStudDeepIn = 5.5;

    // Attics are run over or beside the joists, floors between storeys through them.
    private static readonly Length JoistSpacing = Length.Inches(16);

    /// <summary>How many holes, plates, bushings, seals and staples, in sentences.</summary>
    /// <param name="p">The job's preferences, which say how far apart staples are and how many cables share a hole.</param>
    public string InWords(Preferences p)
    {
        var counts = string.Join(", ", new[]
        {
            $"{Holes} holes",
            $"{Plates} nail plates",
            Bushings > 0 ? $"{Bushings} bushings in metal studs" : "",
            $"{Seals} holes to seal between storeys",
            $"about {Staples} staples",
        }.Where(c => c.Length > 0));
        var unknown = JoistsUnknown.Length > 0 ? $" Which way the joists run is not stated over {string.Join(", ", JoistsUnknown)}: holes in them are not counted." : "";
        return $"{counts}: the first {LengthText.Show(p.StapleFromBox)} from each box, then every {LengthText.Show(p.StapleEvery)}. "
            + $"By the planned ways, {p.CablesPerHole} cables in a hole at most.{unknown}";
    }

    /// <summary>The list of a house with its circuits.</summary>
    public static DrillList Of(JobAnalysis a)
    {
        var p = a.Job.Preferences;
        var unknown = new SortedSet<string>(StringComparer.Ordinal);
        var holes = Through(a, unknown);
        var staples = 0;
        foreach (var c in a.Circuits)
        {
            foreach (var hop in c.Run.Cables)
            {
                var route = a.RouteOf(hop);

                // Beside each box, and along what does not lie in drilled holes.
                var free = route.Pieces.Where(x => x.Kind is WayKind.Wall or WayKind.Field).Aggregate(Length.Zero, (sum, x) => sum + x.Length);
                staples += (hop.From is null ? 1 : 2) + (int)(free.Units / Math.Max(1, p.StapleEvery.Units));
            }
        }

        var lines = holes.GroupBy(h => h.Key.Where).OrderBy(g => g.Key, StringComparer.Ordinal).Select(g => Line(a, g.Key, [.. g.Select(h => Bored(a, h.Value))])).ToImmutableArray();
        return new(lines, lines.Sum(l => l.Holes), lines.Where(l => NeedsPlate(l)).Sum(l => l.Holes), lines.Where(l => l.Note.Contains(Sealed, StringComparison.Ordinal)).Sum(l => l.Holes), staples, lines.Where(l => l.Note == Bushed).Sum(l => l.Holes), [.. unknown], [.. OpenJoists(a)]);
    }

    // Under the lowest floor and in the attic nothing covers the joists.
    private static IEnumerable<string> OpenJoists(JobAnalysis a)
    {
        var fields = a.Circuits.SelectMany(c => c.Run.Cables).SelectMany(h => a.RouteOf(h).Pieces).Where(p => p.Kind == WayKind.Field).ToList();
        var (lowest, highest) = (a.Job.Storeys.Min(s => s.Floor), a.Job.Storeys.Max(s => s.Floor));
        var (under, attic) = (fields.Where(p => p.FromZ < lowest).Sum(p => p.Length.InFeet), fields.Where(p => p.FromZ > highest).Sum(p => p.Length.InFeet));
        if (under >= 1) yield return $"Under the floor, {under:0} ft: {(a.Job.Frame.FinishedLater ? "a ceiling comes there later, so bored through the joists or along them, nothing under them" : "through bored holes or on running boards where it is smaller than two 6 AWG or three 8 AWG, and never loose under the joists")} (334.15(C)).";
        if (attic >= 1) yield return $"In the attic, {attic:0} ft: guard strips as high as the cable within 6 ft of the hatch, everywhere up to 7 ft where a stair or a ladder leads up; 1-1/2 in from the roof deck (334.23, 300.4(E)).";
    }

    private const string Bushed = "bushings in the holes";

    private const string Sealed = "seal after the inspection";

    /// <summary>A cable on its way through a hole.</summary>
    /// <param name="Circuit">Which circuit.</param>
    /// <param name="Hop">Which of its cables.</param>
    /// <param name="Inches">How thick.</param>
    /// <param name="Carrying">Its current-carrying wires: a neutral that two circuits share carries only what is unbalanced.</param>
    internal sealed record Passing(int Circuit, Hop Hop, double Inches, int Carrying);

    /// <summary>What comes together at each place that is bored, by its member and the place in it.</summary>
    internal static Dictionary<(string Where, string At), List<Passing>> Through(JobAnalysis a, SortedSet<string> unknown)
    {
        var holes = new Dictionary<(string Where, string At), List<Passing>>();
        foreach (var c in a.Circuits)
        {
            foreach (var hop in c.Run.Cables)
            {
                var cable = c.CableOf(hop);
                Pass(a, a.RouteOf(hop), new Passing(c.Number, hop, Thickness(cable), cable.EndsWith("-2-2", StringComparison.Ordinal) ? 4 : 2), holes, unknown);
            }
        }

        return holes;
    }

    /// <summary>The holes of one place: so many cables in each as the job allows, and holes of their own for those that would lose ampacity among others.</summary>
    internal static List<Passing[]> Bored(JobAnalysis a, List<Passing> cables)
    {
        var alone = cables.Where(c => a.Apart.Contains(c.Circuit)).Select(c => new[] { c });
        return [.. alone, .. cables.Where(c => !a.Apart.Contains(c.Circuit)).Chunk(a.Job.Preferences.CablesPerHole)];
    }

    // About what the jacket of the common sizes measures across its wide side.
    internal static double Thickness(string cable)
    {
        var wires = cable.EndsWith("-3", StringComparison.Ordinal) ? 1.0 : cable.EndsWith("-2-2", StringComparison.Ordinal) ? 1.1 : 0.85;
        return wires * (cable[..cable.IndexOf('-', StringComparison.Ordinal)] switch { "14" => 0.42, "12" => 0.47, "10" => 0.55, "8" => 0.72, "6" => 0.85, _ => 1.0 });
    }

    /// <summary>Whether a hole in the middle of a stud of so many inches leaves less than 1-1/4 in to a face.</summary>
    internal static bool NearFace(double bit, double deep) => bit > deep - (2 * FaceIn);

    private static void Pass(JobAnalysis a, CableRoute route, Passing cable, Dictionary<(string, string), List<Passing>> holes, SortedSet<string> unknown)
    {
        void Hole(string where, string at)
        {
            if (!holes.TryGetValue((where, at), out var there)) holes[(where, at)] = there = [];
            there.Add(cable);
        }

        for (var i = 0; i < route.Pieces.Length; i++)
        {
            var piece = route.Pieces[i];
            switch (piece.Kind)
            {
                case WayKind.Wall when i > 0 || route.Pieces.Length > 1:
                    // Where a wall meets a field its plate is in between; one bay takes as many cables as its holes allow.
                    foreach (var z in PlatesOf(a, piece)) Hole(z, Bay(a, piece.From));
                    break;
                case WayKind.Studs:
                    var (wall, spacing) = WallOf(a, piece);
                    foreach (var stud in Crossed(piece, spacing)) Hole(wall, stud);
                    break;
                case WayKind.Field:
                    Joists(a, piece, Hole, unknown);
                    break;
            }
        }
    }

    // The plates that an upright piece goes through: those of each storey whose floor or ceiling lies between its ends.
    private static IEnumerable<string> PlatesOf(JobAnalysis a, WayPiece piece)
    {
        var (low, high) = piece.FromZ < piece.ToZ ? (piece.FromZ, piece.ToZ) : (piece.ToZ, piece.FromZ);
        foreach (var storey in a.Job.Storeys)
        {
            var ceiling = storey.Floor + a.Job.Rooms.Where(r => r.Storey == storey.Id && r.Kind is not (RoomKind.Deck or RoomKind.Outdoors)).Select(r => r.CeilingHeight).DefaultIfEmpty(Length.Feet(8)).Max();
            if (low < ceiling && high > ceiling) yield return $"Top plates, {storey.Name}";
            if (low < storey.Floor && high > storey.Floor) yield return $"Bottom plates, {storey.Name}";
        }
    }

    private static string Bay(JobAnalysis a, Point at) => $"{Math.Floor(at.X.InInches / a.Job.Frame.StudSpacing.InInches)},{Math.Floor(at.Y.InInches / a.Job.Frame.StudSpacing.InInches)}";

    private static (string Wall, Length Spacing) WallOf(JobAnalysis a, WayPiece piece)
    {
        var (shape, wall) = WallCables.WallAt(a, piece);
        var body = WallBody.Of(a.House, shape, wall);
        var build = body.Build == WallBuild.MetalStud ? "metal studs" : body.Thickness >= Length.Inches(5.5) ? "2x6 studs" : "2x4 studs";
        return ($"{shape.Room.Name}, {LabelWriter.Facing(shape, wall)} wall, {build}{(body.Bearing ? ", bearing" : "")}", body.StudSpacing);
    }

    private static IEnumerable<string> Crossed(WayPiece piece, Length spacing)
    {
        var level = (piece.From.Y - piece.To.Y).Abs() < Length.Inches(1);
        var (from, to) = level ? (piece.From.X.InInches, piece.To.X.InInches) : (piece.From.Y.InInches, piece.To.Y.InInches);
        if (from > to) (from, to) = (to, from);
        var across = Math.Round((level ? piece.From.Y.InInches : piece.From.X.InInches) / 6);
        for (var n = Math.Floor(from / spacing.InInches) + 1; n * spacing.InInches < to; n++) yield return $"{(level ? "x" : "y")}{across}:{n}";
    }

    private static void Joists(JobAnalysis a, WayPiece piece, Action<string, string> hole, SortedSet<string> unknown)
    {
        // Over the highest storey is the attic, under the lowest floor the crawl space: cable lies on or along the joists there.
        var above = a.Job.Storeys.OrderBy(s => s.Floor).FirstOrDefault(s => s.Floor > piece.FromZ);
        var below = a.Job.Storeys.OrderByDescending(s => s.Floor).FirstOrDefault(s => s.Floor <= piece.FromZ);
        if (above is null || below is null) return;
        var level = (piece.From.Y - piece.To.Y).Abs() < Length.Inches(1);
        foreach (var stud in Crossed(piece, JoistSpacing))
        {
            var n = double.Parse(stud[(stud.IndexOf(':', StringComparison.Ordinal) + 1)..], System.Globalization.CultureInfo.InvariantCulture) * JoistSpacing.InInches;
            var at = level ? new Point(Length.Inches(n), piece.From.Y) : new Point(piece.From.X, Length.Inches(n));
            if (a.House.RoomAt(below.Id, at) is not { } room) continue;
            if (room.Room.Joists is not { } run) unknown.Add(room.Room.Name);
            else if ((run == JoistRun.EastWest) != level) hole($"Joists over {room.Room.Name}{(room.Room.JoistDepth is { } d ? $", {LengthText.Show(d)} deep" : "")}", stud);
        }
    }

    // Cables fill at most some three fifths of a round hole that they can still be pulled through.
    private static DrillLine Line(JobAnalysis a, string where, List<List<Passing[]>> places)
    {
        var holes = places.SelectMany(p => p).ToList();
        var bit = holes.Max(h => BitFor([.. h.Select(x => x.Inches)]));
        return new(where, holes.Count, holes.Sum(h => h.Length), holes.Max(h => h.Length), bit, Note(a, where, bit / 16.0));
    }

    // The bits on the truck, in sixteenths.
    private static readonly int[] Bits = [10, 12, 14, 16, 18, 20, 24, 28, 32];

    internal static int BitFor(double[] inches)
    {
        var area = inches.Sum(i => i * i * 0.45);
        var least = Math.Max(inches.Max() + 0.1, Math.Sqrt(area / 0.6 * 4 / Math.PI));
        return Bits.FirstOrDefault(b => b / 16.0 >= least, 32);
    }

    private static string Note(JobAnalysis a, string where, double bit)
    {
        if (where.Contains("plates", StringComparison.Ordinal))
        {
            var between = a.Job.Storeys.Length > 1 && !(where.StartsWith("Top", StringComparison.Ordinal) && where.EndsWith(a.Job.Storeys.MaxBy(s => s.Floor)!.Name, StringComparison.Ordinal));
            return $"in the middle of the plate, {FaceIn:0.##} in to either face or a nail plate{(between ? $"; between storeys, {Sealed}" : "")}";
        }

        if (where.StartsWith("Joists", StringComparison.Ordinal)) return "2 in from top and bottom, no more than a third of the depth";
        if (where.Contains("metal", StringComparison.Ordinal)) return Bushed;
        var deep = where.Contains("2x6", StringComparison.Ordinal) ? WideStudDeepIn : StudDeepIn;
        var most = deep * (where.EndsWith("bearing", StringComparison.Ordinal) ? 0.4 : 0.6);
        return bit > most ? $"larger than {most:0.#} in, the most here: use two holes" : NearFace(bit, deep) ? "nail plate at each" : "in the middle: no nail plate";
    }

    private static bool NeedsPlate(DrillLine line) => line.Note.StartsWith("nail plate at each", StringComparison.Ordinal);
}
