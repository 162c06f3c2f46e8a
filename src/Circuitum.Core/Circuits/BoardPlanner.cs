using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Circuits;

/// <summary>
/// Divides the points of a house with split boards: lights by floor in parts of about the same load, the sockets of neighbouring rooms
/// on rings and radials with no room on two, a circuit for each appliance that is wired in. What stands stays where it is.
/// </summary>
public sealed class BoardPlanner : ICircuitPlanner
{
    /// <inheritdoc/>
    public ImmutableArray<Circuit> Plan(HouseShape house, CodeEdition edition)
    {
        var draft = new BoardDraft(house, edition);
        draft.Join();
        foreach (var (storey, building) in draft.Floors())
        {
            Lights(draft, storey, building);
            Sockets(draft, storey, building);
        }

        Garden(draft);
        foreach (var box in draft.Loose().ToList())
            draft.New([box]);
        return draft.Result();
    }

    // Two lighting circuits or more on a floor, so that one that opens leaves some light.
    private static void Lights(BoardDraft draft, string storey, string building)
    {
        var rooms = draft.Rooms(storey, building, BoardUse.Lighting);
        if (rooms.Count == 0)
            return;
        var edition = draft.Edition;
        var total = rooms.Sum(r => r.Weight);
        var circuits = Math.Max(
            edition.Number("lampCircuitsLeast").Whole,
            (int)Math.Ceiling((total / edition.Number("lampFirstW")) - 1e-9)
        );
        draft.Take(Partition.Even(rooms, Math.Min(circuits, rooms.Count), edition.Number("lampMostW")));
    }

    private static void Garden(BoardDraft draft)
    {
        foreach (var lights in draft.Loose().Where(t => draft.Use(t) == BoardUse.GardenLighting).GroupBy(draft.BuildingOf).ToList())
            Garden(draft, [.. lights]);
    }

    private static void Garden(BoardDraft draft, List<ImmutableArray<Box>> lights)
    {
        var most = draft.Edition.Number("lampMostW");
        var rooms = lights.Select(t => new PlacedRoom("", [t], draft.Watts(t), 0)).ToList();
        draft.Take(Partition.Even(rooms, Math.Max(1, (int)Math.Ceiling(rooms.Sum(r => r.Weight) / most)), most));
    }

    // A kitchen has its own; what is more than one ring serves is cut into as few as do; the rest goes along the floor.
    private static void Sockets(BoardDraft draft, string storey, string building)
    {
        var edition = draft.Edition;
        var most = edition.Number("ringPointsMost").Whole;
        double limit = edition.Number("ringAreaSqM");
        var area = limit > 0 ? limit : double.MaxValue;
        foreach (var box in draft.Loose().Where(t => draft.On(t, storey) && t.Any(b => b.Rating == BoardDraft.LargeSocket)).ToList())
            draft.New([box]);
        var rooms = draft.Rooms(storey, building, BoardUse.Sockets);
        var alone = rooms.Where(r => r.Weight > most || draft.Kind(r) == RoomKind.Kitchen).ToList();
        foreach (var room in alone)
            draft.Take(Partition.Fewest(draft.AroundRoom(room), most, double.MaxValue));
        draft.Take(Partition.Fewest([.. rooms.Except(alone)], most, area));
    }
}
