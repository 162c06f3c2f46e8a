using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Planning;
using Circuitum.Core.Review;

namespace Circuitum.Generated;

// Statements about alarms, risers and segments.
internal sealed partial class Masters
{
    private IEnumerable<string> Alarms()
    {
        var on = a.Circuits.Where(c => c.Boxes.Any(b => b.Kind == BoxKind.SmokeAlarm && main.Contains(b.Room))).ToList();
        if (on.Count > 1)
            yield return string.Join(", ", on.Select(c => c.Number));
        if (a.Job.Preferences.Division.Alarms == AlarmsWith.Alone)
            yield break;
        foreach (var c in on.Where(c => c.Boxes.All(b => b.Kind == BoxKind.SmokeAlarm)))
            yield return Say(c);
        foreach (
            var c in on.Where(c =>
                !Has(c, r => r.Kind is RoomKind.Bedroom or RoomKind.Hallway)
                && lights.Any(l => Has(l, r => r.Kind is RoomKind.Bedroom or RoomKind.Hallway))
            )
        )
            yield return $"{Say(c)} lights neither hall nor bedroom";
    }

    private IEnumerable<string> AlarmFeeds()
    {
        var alarms = a.Job.Decisions.Boxes.Where(b => b.Kind == BoxKind.SmokeAlarm).Select(b => b.Id).ToHashSet();
        return a.Circuits.SelectMany(c =>
            c.Run.Cables.Where(h => h.From is { } from && alarms.Contains(from) && !alarms.Contains(h.To))
                .Select(h => $"{Say(c)}: {h.From} feeds {h.To}")
        );
    }

    // Cables that bring power into a room from elsewhere: one, where its boxes follow each other.
    private IEnumerable<string> Left(CircuitAnalysis c)
    {
        var boxes = a.Job.Decisions.Boxes.ToDictionary(b => b.Id);
        var entered = c
            .Run.Segments.Where(h =>
                h.Use == CableUse.Power
                && boxes[h.To].Kind != BoxKind.SmokeAlarm
                && (h.From is not { } from || boxes[from].Room != boxes[h.To].Room)
            )
            .GroupBy(h => boxes[h.To].Room)
            .Where(g => g.Count() > 1);
        return entered.Select(g => $"{Say(c)}: {g.Key} is entered {g.Count()} times");
    }

    private int Risers(CircuitAnalysis c)
    {
        string StoreyOf(string box) => a.Job.RoomById(a.Job.Decisions.Boxes.First(b => b.Id == box).Room)!.Storey;
        return c
            .Run.Segments.Where(h => h.From is { } from && StoreyOf(from) != StoreyOf(h.To) && !Stair(from) && !Stair(h.To))
            .GroupBy(h => string.Join(' ', new[] { StoreyOf(h.From!), StoreyOf(h.To) }.Order(StringComparer.Ordinal)))
            .Select(g => g.Count())
            .DefaultIfEmpty(0)
            .Max();
        bool Stair(string box) => Kind(a.Job.Decisions.Boxes.First(b => b.Id == box).Room) == RoomKind.Stairs;
    }

    private IEnumerable<string> LongHops()
    {
        var outside = a
            .Job.Decisions.Boxes.Where(b => b.Outside || Kind(b.Room) is RoomKind.Porch or RoomKind.Deck or RoomKind.Outdoors)
            .Select(b => b.Id)
            .ToHashSet();
        if (a.Job.Preferences.Division.Outdoor == OutdoorCircuit.One)
            return [];
        return a.Circuits.SelectMany(c =>
            c.Run.Cables.Where(h => h.From is { } from && outside.Contains(from) && outside.Contains(h.To) && h.Way > Length.Feet(40))
                .Select(h => $"{Say(c)}: {h.From} to {h.To}, {h.Way.InFeet:0} ft")
        );
    }

    private IEnumerable<string> Numbers() =>
        a
            .Circuits.Where(c =>
                a.Job.Preferences.CircuitNumbers == NumberBy.Space
                && c.Boxes.Length > 0
                && main.Contains(c.Boxes[0].Room)
                && a.Job.Decisions.Spaces.FirstOrDefault(s => s.Circuit == c.Number && s.Feeds is null) is { Half: TandemHalf.Whole } s
                && s.Panel == a.Job.Panels[0].Id
                && c.Number != s.Space
                && c.Number != s.Space + (2 * (c.Poles - 1))
            )
            .Select(Say);

    private IEnumerable<string> Spares()
    {
        foreach (var panel in a.Job.Panels)
        {
            var taken = a
                .Job.Decisions.Spaces.Where(s => s.Panel == panel.Id)
                .SelectMany(s => a.Edition.Supply.Taken(s.Space, s.Feeds is not null ? 2 : a.CircuitByNumber(s.Circuit)?.Poles ?? 1))
                .ToHashSet();
            if (taken.Count > 0 && Enumerable.Range(1, taken.Max()).Count(n => !taken.Contains(n)) is var holes && holes > 1)
                yield return $"{panel.Name}: {holes} spares above the last breaker";
        }
    }

    // Side by side for more than a hand's breadth, no farther apart than a thick wall.
    private static bool Touch(Room one, Room other)
    {
        if (one.Storey != other.Storey)
            return one.Kind == RoomKind.Stairs || other.Kind == RoomKind.Stairs;
        var (p, q) = (new RoomShape(one), new RoomShape(other));
        var (dx, dy) = (Length.Max(p.MinX, q.MinX) - Length.Min(p.MaxX, q.MaxX), Length.Max(p.MinY, q.MinY) - Length.Min(p.MaxY, q.MaxY));
        var (gap, along) = dx > dy ? (dx, Length.Zero - dy) : (dy, Length.Zero - dx);
        return gap <= Length.Inches(HouseShape.ThickestWallInches) && along > Length.Inches(1);
    }
}
