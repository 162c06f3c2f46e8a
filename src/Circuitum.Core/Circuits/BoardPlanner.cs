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
        foreach (var storey in house.Job.Storeys)
        {
            Lights(draft, storey.Id);
            Sockets(draft, storey.Id);
        }

        Garden(draft);
        foreach (var box in draft.Loose().ToList())
            draft.New([box]);
        return draft.Result();
    }

    // Two lighting circuits or more on a floor, so that one that opens leaves some light.
    private static void Lights(BoardDraft draft, string storey)
    {
        var rooms = draft.Rooms(storey, BoardUse.Lighting);
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
        var lights = draft.Loose().Where(t => draft.Use(t) == BoardUse.GardenLighting).ToList();
        if (lights.Count == 0)
            return;
        var most = draft.Edition.Number("lampMostW");
        var rooms = lights.Select(t => new PlacedRoom("", [t], draft.Watts(t), 0)).ToList();
        draft.Take(Partition.Even(rooms, Math.Max(1, (int)Math.Ceiling(rooms.Sum(r => r.Weight) / most)), most));
    }

    // A kitchen has its own; what is more than one ring serves is cut into as few as do; the rest goes along the floor.
    private static void Sockets(BoardDraft draft, string storey)
    {
        var edition = draft.Edition;
        var most = edition.Number("ringPointsMost").Whole;
        double Most(Func<string, double> of) => of("ringAreaSqM") is > 0 and var area ? area : double.MaxValue;
        var area = Most(n => edition.Number(n));
        foreach (var box in draft.Loose().Where(t => draft.On(t, storey) && t.Any(b => b.Rating == BoardDraft.LargeSocket)).ToList())
            draft.New([box]);
        var rooms = draft.Rooms(storey, BoardUse.Sockets);
        var alone = rooms.Where(r => r.Weight > most || draft.Kind(r) == RoomKind.Kitchen).ToList();
        foreach (var room in alone)
            draft.Take(Partition.Fewest(draft.AroundRoom(room), most, double.MaxValue));
        draft.Take(Partition.Fewest([.. rooms.Except(alone)], most, area));
    }
}
