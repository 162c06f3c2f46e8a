using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.BoxLayout;

/// <summary>The reach of the receptacles of a room, along its floor line and its counters: what is served and where it fails.</summary>
public static class ReachLine
{
    /// <summary>The pieces of all wall spaces and counter spaces of a room, in order.</summary>
    public static ImmutableArray<ReachPiece> Of(Job job, CodeEdition edition, RoomShape shape, IReadOnlyCollection<Box> boxes)
    {
        var pieces = ImmutableArray.CreateBuilder<ReachPiece>();
        if (edition.Traits(shape.Room.Kind).WallSpaces || shape.Room.ReceptacleReach is not null)
        {
            var code = edition.Number("wallReachIn").Length;
            var wanted = ReceptacleRules.Reach(job, edition, shape.Room);
            foreach (var space in WallSpaces.Of(shape, job, edition.Number("wallSpaceLeastIn").Length))
                Add(space, false, code, wanted);
        }

        var counter = edition.Number("counterReachIn").Length;
        foreach (var space in WallSpaces.Counters(shape, job, edition.Number("counterLeastIn").Length))
            Add(space, true, counter, counter);
        return pieces.ToImmutable();

        void Add(WallSpace space, bool overCounter, Length code, Length wanted)
        {
            var held = ReceptacleSpots.Held(boxes, job, edition, shape, space, overCounter).Order().ToList();
            var cuts = new SortedSet<Length> { Length.Zero, space.Length };
            foreach (
                var cut in held.SelectMany(h => new[] { h - code, h + code, h - wanted, h + wanted })
                    .Where(c => c > Length.Zero && c < space.Length)
            )
                cuts.Add(cut);
            var at = cuts.ToList();
            ReachPiece? last = null;
            for (var i = 1; i < at.Count; i++)
            {
                var middle = new Length((at[i - 1].Units + at[i].Units) / 2);
                var nearest = held.Count == 0 ? new Length(long.MaxValue / 4) : held.Min(h => (h - middle).Abs());
                var state =
                    nearest > code ? ReachState.TooFar
                    : nearest > wanted ? ReachState.CloserWanted
                    : ReachState.Served;
                if (last is not null && last.State == state)
                    pieces[^1] = last = last with { To = space.Start + at[i] };
                else
                    pieces.Add(last = new(space.Start + at[i - 1], space.Start + at[i], overCounter, state));
            }
        }
    }

    /// <summary>In a sentence, the longest piece that is not served as the code wants, or empty.</summary>
    public static string Worst(IEnumerable<ReachPiece> pieces, LengthUnits units) =>
        pieces.Where(p => p.State == ReachState.TooFar).MaxBy(p => p.To - p.From) is { } worst
            ? $"{LengthText.Show(worst.To - worst.From, units)} of the {(worst.Counter ? "counter" : "wall")} is out of reach"
            : "";
}
