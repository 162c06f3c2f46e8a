using System.Collections.Immutable;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Routing;

namespace Circuitum.Core.Analysis;

/// <summary>What a hole is bored through.</summary>
internal enum MemberKind
{
    Studs,
    MetalStuds,
    Plates,
    Joists,
}

/// <summary>A member of the frame that cables are led through.</summary>
/// <param name="Where">Which, in words.</param>
/// <param name="Kind">What it is.</param>
/// <param name="DeepIn">How deep its studs are, in inches.</param>
/// <param name="LargestIn">The largest hole in inches; infinite where its note says what to mind.</param>
/// <param name="Between">Whether a hole in it opens one storey to another.</param>
internal readonly record struct BoredMember(
    string Where,
    MemberKind Kind,
    double DeepIn = 0,
    double LargestIn = double.PositiveInfinity,
    bool Between = false
)
{
    /// <summary>The wall whose studs they are; none for plates and joists.</summary>
    internal Subject? Wall { get; init; }

    /// <summary>Whether a hole in it opens the garage to the house.</summary>
    internal bool Garage { get; init; }
}

/// <summary>What is drilled, protected, sealed and stapled before and after the cable is pulled.</summary>
/// <param name="Lines">The holes, place by place.</param>
/// <param name="Holes">All holes.</param>
/// <param name="Plates">Nail plates, where a hole comes nearer than 1-1/4 in to a face (300.4(A)(1)).</param>
/// <param name="Seals">Holes between storeys and into the garage that are sealed against fire.</param>
/// <param name="Staples">Staples by the job's distances.</param>
/// <param name="Bushings">Bushings in holes of metal studs (300.4(B)(1)).</param>
/// <param name="JoistsUnknown">Rooms over which cable crosses joists whose direction nobody has stated.</param>
/// <param name="Open">What to mind where cable crosses open joists, under the lowest floor and in the attic, with the feet that do.</param>
public sealed record DrillList(
    ImmutableArray<DrillLine> Lines,
    int Holes,
    int Plates,
    int Seals,
    int Staples,
    int Bushings,
    ImmutableArray<string> JoistsUnknown,
    ImmutableArray<string> Open
)
{
    // A hole in the middle of a 2x4 leaves 1-1/4 in to either face up to this diameter.
    private const double FaceIn = 1.25;

    // Attics are run over or beside the joists, floors between storeys through them.
    internal static readonly Length JoistSpacing = Length.Inches(16);

    /// <summary>Whether a hole opens the garage to the house.</summary>
    public bool IntoGarage => Lines.Any(l => l.Member.Garage);

    /// <summary>How many holes, plates, bushings, seals and staples, in sentences.</summary>
    /// <param name="job">The job, whose preferences say how far apart staples are and how many cables share a hole.</param>
    public string InWords(Job job)
    {
        var p = job.Preferences;
        var counts = string.Join(
            ", ",
            new[]
            {
                $"{Holes} holes",
                $"{Plates} nail plates",
                Bushings > 0 ? $"{Bushings} bushings in metal studs" : "",
                $"{Seals} holes to seal between storeys{(IntoGarage ? " and into the garage" : "")}",
                $"about {Staples} staples",
            }.Where(c => c.Length > 0)
        );
        var unknown =
            JoistsUnknown.Length > 0
                ? $" Which way the joists run is not stated over {string.Join(", ", JoistsUnknown)}: holes in them are not counted."
                : "";
        return $"{counts}: the first {LengthText.Show(p.StapleFromBox, job.Units)} from each box, then every "
            + $"{LengthText.Show(p.StapleEvery, job.Units)}. "
            + $"By the planned ways, {p.CablesPerHole} cables in a hole at most.{unknown}";
    }

    /// <summary>The list of a house with its circuits.</summary>
    public static DrillList Of(JobAnalysis a)
    {
        var p = a.Job.Preferences;
        var unknown = new SortedSet<string>(StringComparer.Ordinal);
        var holes = DrilledWays.Through(a, unknown);
        var staples = 0;
        foreach (var c in a.Circuits)
        {
            foreach (var segment in c.Run.Cables)
            {
                staples += StaplesOf(p, segment, a.RouteOf(segment));
            }
        }

        var lines = holes
            .GroupBy(h => h.Key.Member)
            .OrderBy(g => g.Key.Where, StringComparer.Ordinal)
            .Select(g => Line(g.Key, [.. g.Select(h => DrilledWays.Bored(a, g.Key, h.Value))]))
            .ToImmutableArray();
        int Holes(Func<DrillLine, bool> which) => lines.Where(which).Sum(l => l.Holes);
        return new(
            lines,
            Holes(_ => true),
            Holes(l => l.Plated),
            Holes(l => l.Sealed),
            staples,
            Holes(l => l.Bushed),
            [.. unknown],
            [.. OpenJoists(a)]
        );
    }

    /// <summary>Staples of one cable: beside each box, and along what does not lie in drilled holes.</summary>
    internal static int StaplesOf(Preferences p, CableSegment segment, CableRoute route)
    {
        var free = route.Pieces.Where(x => x.Kind is WayKind.Wall or WayKind.Field).Aggregate(Length.Zero, (sum, x) => sum + x.Length);
        return (segment.From is null ? 1 : 2) + (int)(free.Units / Math.Max(1, p.StapleEvery.Units));
    }

    // Under the lowest floor and in the attic nothing covers the joists.
    private static IEnumerable<string> OpenJoists(JobAnalysis a)
    {
        var fields = a
            .Circuits.SelectMany(c => c.Run.Cables)
            .SelectMany(h => a.RouteOf(h).Pieces)
            .Where(p => p.Kind == WayKind.Field)
            .ToList();
        var (lowest, highest) = (a.Job.Storeys.Min(s => s.Floor), a.Job.Storeys.Max(s => s.Floor));
        var (under, attic) = (
            fields.Where(p => p.FromZ < lowest).Sum(p => p.Length.InFeet),
            fields.Where(p => p.FromZ > highest).Sum(p => p.Length.InFeet)
        );
        if (under >= 1)
            yield return $"Under the floor, {LengthText.Far(under, a.Units)}: "
                + (
                    a.Job.Frame.FinishedLater
                        ? "a ceiling comes there later, so bored through the joists or along them, nothing under them"
                        : "through bored holes or on running boards where it is smaller than two 6 AWG or three 8 AWG, "
                            + "and never loose under the joists"
                )
                + " "
                + $"({a.Edition.Cite("wire.joists")}).";
        if (attic >= 1)
            yield return $"In the attic, {LengthText.Far(attic, a.Units)}: guard strips as high as the cable within "
                + $"{LengthText.Far(Length.Feet(6), a.Units)} of the hatch, everywhere up to "
                + $"{LengthText.Far(Length.Feet(7), a.Units)} where a stair or a ladder leads up; 1-1/2 in from the roof "
                + $"deck ({a.Edition.Cite("wire.attic")}).";
    }

    /// <summary>Whether a hole in the middle of a stud of so many inches leaves less than 1-1/4 in to a face.</summary>
    internal static bool NearFace(double bit, double deep) => bit > deep - (2 * FaceIn);

    private static DrillLine Line(BoredMember member, List<List<DrilledWays.Passing[]>> places)
    {
        var holes = places.SelectMany(p => p).ToList();
        var bit = holes.Max(h => Bores.BitFor([.. h.Select(x => x.Inches)]));
        var near = member.Kind == MemberKind.Studs && NearFace(bit / 16.0, member.DeepIn);
        return new(member.Where, holes.Count, holes.Sum(h => h.Length), holes.Max(h => h.Length), bit, Note(member, bit / 16.0, near))
        {
            TooLarge = bit / 16.0 > member.LargestIn,
            Plated = near && bit / 16.0 <= member.LargestIn,
            Sealed = member.Between || member.Garage,
            Bushed = member.Kind == MemberKind.MetalStuds,
            Member = member,
            Places = [.. holes],
        };
    }

    private static string Note(BoredMember member, double bit, bool near) =>
        member.Kind switch
        {
            MemberKind.Plates => $"in the middle of the plate, {FaceIn:0.##} in to either face or a nail plate"
                + (
                    member.Garage ? "; between garage and house, seal after the inspection"
                    : member.Between ? "; between storeys, seal after the inspection"
                    : ""
                ),
            MemberKind.Joists => "2 in from top and bottom, no more than a third of the depth",
            MemberKind.MetalStuds => "bushings in the holes",
            _ => bit > member.LargestIn ? $"larger than {member.LargestIn:0.#} in, the most here"
            : near ? "nail plate at each"
            : "in the middle: no nail plate",
        };
}
