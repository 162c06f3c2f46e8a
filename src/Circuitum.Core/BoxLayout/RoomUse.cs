using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.BoxLayout;

/// <summary>What a place is by what stands in it and where it lies, whatever its room is called.</summary>
public static class RoomUse
{
    // Below this the storey is under grade.
    private static readonly Length UnderGrade = Length.Feet(-4);

    /// <summary>Whether a room is where one cooks: a kitchen, or a room with a range or a cooktop and a sink.</summary>
    /// <param name="job">The job.</param>
    /// <param name="room">The room.</param>
    public static bool Cooks(Job job, Room room) =>
        room.Kind == RoomKind.Kitchen
        || (job.Appliances.Any(a => a.Room == room.Id && ApplianceFacts.Has(a, ApplianceTrait.CookingSurface)) && HasSink(job, room));

    /// <summary>
    /// Whether food or drink is prepared in a room for good: a sink, and something that cooks, cools or washes dishes beside it (2023:
    /// 210.8(A)(7)).
    /// </summary>
    /// <param name="job">The job.</param>
    /// <param name="room">The room.</param>
    public static bool PreparesFood(Job job, Room room) =>
        HasSink(job, room)
        && (
            room.Kind == RoomKind.Kitchen
            || job.Appliances.Any(a =>
                a.Room == room.Id && CodeLibrary.Appliances[a.Type] is var type && (type.Cooking || type.Has(ApplianceTrait.FoodPlace))
            )
        );

    private static bool HasSink(Job job, Room room) => job.Fixtures.Any(f => f.Room == room.Id && f.Kind == FixtureKind.Sink);

    /// <summary>
    /// Whether a room is a bathroom: by its kind, or because a basin stands in it with a toilet, a tub or a shower (Article 100).
    /// </summary>
    /// <param name="job">The job.</param>
    /// <param name="room">The room.</param>
    public static bool IsBathroom(Job job, Room room) =>
        room.Kind == RoomKind.Bathroom
        || (
            job.Fixtures.Any(f => f.Room == room.Id && f.Kind == FixtureKind.Basin)
            && job.Fixtures.Any(f => f.Room == room.Id && f.Kind is FixtureKind.Toilet or FixtureKind.Tub or FixtureKind.Shower)
        );

    /// <summary>Whether a room lies in a basement: its storey is well under the first floor.</summary>
    /// <param name="job">The job.</param>
    /// <param name="room">The room.</param>
    public static bool IsBasement(Job job, Room room) =>
        room.Kind is RoomKind.UnfinishedBasement or RoomKind.FinishedBasement
        || (
            !room.Kind.OpenAir()
            && room.Kind != RoomKind.CrawlSpace
            && job.StoreyById(room.Storey) is { } storey
            && storey.Floor <= UnderGrade
        );

    /// <summary>
    /// Whether a room is an unfinished part of a basement: by its kind, or a utility room down there, which nobody finishes.
    /// </summary>
    /// <param name="job">The job.</param>
    /// <param name="room">The room.</param>
    public static bool IsUnfinishedBasement(Job job, Room room) =>
        room.Kind == RoomKind.UnfinishedBasement || (room.Kind == RoomKind.Utility && IsBasement(job, room));

    /// <summary>Whether a room is in the building where people live, and not in a shed or a garage by itself.</summary>
    /// <param name="house">The house.</param>
    /// <param name="room">The room.</param>
    public static bool OfDwelling(HouseShape house, string room) =>
        house
            .BuildingOf(room)
            .Any(id => house[id].Room.Kind is var kind && !kind.OpenAir() && kind is not (RoomKind.AccessoryBuilding or RoomKind.Garage));

    /// <summary>
    /// Whether an outlet is in a laundry area: in a laundry room, the outlet of a washer or a dryer itself, or a receptacle within
    /// reach of one of them in the same room.
    /// </summary>
    /// <param name="house">The house.</param>
    /// <param name="edition">The edition, which says how far a cord reaches.</param>
    /// <param name="box">The outlet.</param>
    public static bool InLaundryArea(HouseShape house, CodeEdition edition, Box box)
    {
        if (box.Outside)
            return false;
        if (house[box.Room].Room.Kind == RoomKind.Laundry)
            return true;
        if (house.Job.ApplianceById(box.Appliance) is { } own && Launders(own))
            return true;
        return box.Kind is BoxKind.Receptacle or BoxKind.Provision
            && house.Job.Appliances.Any(a =>
                a.Room == box.Room
                && Launders(a)
                && Places.InchesTo(house[box.Room], a.Spot, Places.Of(house, box)) <= edition.Number("applianceReceptacleReachIn")
            );
    }

    private static bool Launders(Appliance appliance) => ApplianceFacts.Has(appliance, ApplianceTrait.LaundryEquipment);
}
