using System.Collections.Immutable;
using System.Globalization;
using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Explain;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Takeoff;

/// <summary>Which cut of one cable comes off which reel.</summary>
/// <param name="Cable">The cable.</param>
/// <param name="Reels">The reels, open ones first, each with its cuts in the order in which they are pulled.</param>
/// <param name="Coils">New coils to buy.</param>
/// <param name="Bound">So many new coils any way needs.</param>
/// <param name="Coil">Length of a new coil.</param>
/// <param name="TooLong">Cuts that are longer than any reel: ordered by the foot or the metre.</param>
/// <param name="Units">In what lengths are told and coils are sold.</param>
public sealed record CutPlan(
    string Cable,
    ImmutableArray<ReelCuts> Reels,
    int Coils,
    int Bound,
    Length Coil,
    ImmutableArray<Cut> TooLong,
    LengthUnits Units
)
{
    /// <summary>The new coils by their length, the longest first.</summary>
    public ImmutableArray<(Length Length, int Count)> NewCoils =>
        [.. Reels.Where(r => r.Coil > 0).GroupBy(r => r.Begins).OrderByDescending(g => g.Key).Select(g => (g.Key, g.Count()))];

    /// <summary>The same in words, such as <c>4 coils of 250 ft and 1 of 50 ft</c>; empty when none is needed.</summary>
    public string CoilsInWords =>
        string.Join(
            " and ",
            NewCoils.Select((c, i) => $"{c.Count}{(i > 0 ? "" : c.Count == 1 ? " coil" : " coils")} of {Whole(c.Length)}")
        );

    private string Whole(Length length) => string.Create(CultureInfo.InvariantCulture, $"{In.Of(length):0}{In.Sign()}");

    private ItemUnit In => ItemUnits.Of(Units);

    /// <summary>What is cut in all.</summary>
    public Length Cut => Reels.SelectMany(r => r.Cuts).Concat(TooLong).Aggregate(Length.Zero, (sum, c) => sum + c.Length);

    /// <summary>What is left on reels and too short to be of use.</summary>
    /// <param name="p">The job's preferences, which say what is too short.</param>
    public Length Useless(Preferences p) =>
        Reels.Where(r => r.Cuts.Length > 0 && r.Leftover < p.UselessLeftover).Aggregate(Length.Zero, (sum, r) => sum + r.Leftover);

    /// <summary>The plans of a house, cable by cable, for what is not pulled yet.</summary>
    /// <param name="a">The analysis.</param>
    /// <param name="without">Circuits whose cable is not cut yet, because it should not be bought.</param>
    public static ImmutableArray<CutPlan> Of(JobAnalysis a, IReadOnlySet<int>? without = null)
    {
        var reels = (a.Job.Stock ?? Stock.None).Reels.Select(r => (Reel: r, Left: LeftOn(a.Job, r))).ToList();
        return
        [
            .. Cuts(a)
                .Where(c => without?.Contains(c.Cut.Circuit) != true)
                .GroupBy(c => c.Cable)
                .OrderBy(g => g.Key, StringComparer.Ordinal)
                .Select(g =>
                    Of(
                        g.Key,
                        [.. g.Select(c => c.Cut)],
                        [.. reels.Where(r => r.Reel.Cable == g.Key)],
                        a.Job.Preferences.WastePercent,
                        a.Units
                    )
                ),
        ];
    }

    /// <summary>What is on a reel when what this job has pulled from it is taken off.</summary>
    public static Length LeftOn(Job job, Reel reel) =>
        Length.Max(
            Length.Zero,
            reel.Held
                - job.Decisions.Pulled.Where(p => p.Reel == reel.Id).Aggregate(Length.Zero, (sum, p) => sum + (p.Measured ?? Length.Zero))
        );

    // Home runs in the order of the pull list, then the cables from box to box, circuit by circuit.
    private static IEnumerable<(string Cable, Cut Cut)> Cuts(JobAnalysis a)
    {
        var totals = a.Cable;
        var home = PullList
            .Of(a)
            .SelectMany(g => g.Lines)
            .Where(l => l.Pulled is null)
            .Select(l => (l.Circuit, Segment: l.Circuit.Run.Segments[0]));
        var hops = a.Circuits.SelectMany(c =>
            c.Run.Cables.Where(h => (h.From ?? h.Via) is not null && a.Boxes[h.To].State == BoxState.Planned).Select(h => (c, Segment: h))
        );
        foreach (var (c, segment) in home.Concat(hops).Where(x => x.Item1.Wire is not null))
        {
            var (cable, cut) = totals.InHouse(c, segment);
            if (cut > Length.Zero)
                yield return (cable, new(c.Number, segment.From ?? segment.Via, segment.To, cut));
        }
    }

    internal static CutPlan Of(
        string cable,
        ImmutableArray<Cut> cuts,
        ImmutableArray<(Reel Reel, Length Left)> reels,
        int waste,
        LengthUnits units = LengthUnits.FeetInches
    )
    {
        var (coil, small) = CodeLibrary.Takeoff.CoilOf(cable).In(units);
        var grain = Grain(units);
        var open = reels.Where(r => r.Left > Length.Zero).OrderBy(r => r.Left).ThenBy(r => r.Reel.Id, StringComparer.Ordinal).ToList();
        var longest = Math.Max(Down(coil, grain), open.Count == 0 ? 0 : Down(open[^1].Left, grain));

        // Pulled, a cable takes a little more than its way: the waste goes with each cut.
        cuts = [.. cuts.Select(c => c with { Taken = new(c.Length.Units * (100 + waste) / 100) })];
        var (fit, tooLong) = (cuts.Where(c => Up(c.Taken, grain) <= longest).ToList(), cuts.Where(c => Up(c.Taken, grain) > longest));
        var (of, coils, bound) = CutSolver.Solve(
            [.. fit.Select(c => Up(c.Taken, grain))],
            [.. open.Select(r => Down(r.Left, grain))],
            Down(coil, grain)
        );
        return new(
            cable,
            [
                .. Enumerable
                    .Range(0, open.Count + coils)
                    .Select(r =>
                    {
                        ImmutableArray<Cut> on = [.. fit.Where((_, i) => of[i] == r)];
                        if (r < open.Count)
                            return new ReelCuts(open[r].Reel, 0, open[r].Left, on);

                        // What one short coil holds needs no long one.
                        var taken = on.Aggregate(Length.Zero, (sum, c) => sum + c.Taken);
                        return new ReelCuts(null, r - open.Count + 1, small.Append(coil).First(s => s >= taken), on);
                    }),
            ],
            coils,
            bound,
            coil,
            [.. tooLong],
            units
        );
    }

    // Nobody cuts cable finer than this.
    private static Length Grain(LengthUnits units) => units == LengthUnits.FeetInches ? Length.Inches(1) : Length.Millimetres(10);

    // Cuts are made a little longer, never shorter.
    private static int Up(Length length, Length grain) => (int)((length.Units + grain.Units - 1) / grain.Units);

    private static int Down(Length length, Length grain) => (int)(length.Units / grain.Units);

    /// <summary>How the coils to buy came about.</summary>
    public Derivation Derivation =>
        new($"Coils of {Cable} to buy", Coils == 0 ? "none" : CoilsInWords)
        {
            Formula = $"{LengthText.Far(Cut, Units)} in {Reels.Sum(r => r.Cuts.Length) + TooLong.Length} cuts, and waste",
            Because =
                Coils == Bound
                    ? $"Any way to cut it takes {Bound} at least."
                    : $"Any way to cut it takes {Bound} at least; none with fewer than {Coils} was found.",
            Steps =
            [
                .. Reels.Select(r =>
                    Explain.Derivation.Fact(
                        r.Name,
                        LengthText.Far(r.Begins, Units),
                        $"{r.Cuts.Length} cuts, {LengthText.Far(r.Leftover, Units, "0.#")} left"
                    )
                ),
                .. TooLong.Select(c => Explain.Derivation.Fact($"to {c.To}, by the {In.Name()}", LengthText.Far(c.Length, Units))),
            ],
        };
}

/// <summary>A reel with what is cut off it.</summary>
/// <param name="Reel">The open reel, or none for a new coil.</param>
/// <param name="Coil">Which new coil, from 1; 0 for an open reel.</param>
/// <param name="Begins">What is on it before.</param>
/// <param name="Cuts">The cuts, in the order in which they are pulled.</param>
public sealed record ReelCuts(Reel? Reel, int Coil, Length Begins, ImmutableArray<Cut> Cuts)
{
    /// <summary>What is left on it after.</summary>
    public Length Leftover => Cuts.Aggregate(Begins, (left, c) => left - c.Taken);

    /// <summary>What it is called.</summary>
    public string Name => Reel is { } open ? $"reel {open.Id}{(open.Place.Length > 0 ? $", {open.Place}" : "")}" : $"new coil {Coil}";
}
