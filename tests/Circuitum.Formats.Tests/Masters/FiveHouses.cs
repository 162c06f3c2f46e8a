using Circuitum.Core;
using Circuitum.Core.Jobs;

namespace Circuitum.Formats.Tests.Masters;

/// <summary>Five houses that stand nowhere, each with something that makes dividing it hard.</summary>
internal static class FiveHouses
{
    /// <summary>A ranch over a basement with a workshop and the panel in it.</summary>
    internal static Job Basement() => new DrawnHouse("Alder Bank")
        .Storey("base", "Basement", -9)
        .Room("rec-room", RoomKind.Recreation, 0, 0, 22, 14).Room("shop", RoomKind.UnfinishedBasement, 22, 0, 16, 14).Room("mechanical", RoomKind.Utility, 22, 14, 16, 12).Room("stairs-down", RoomKind.Stairs, 16, 14, 6, 12).Room("store", RoomKind.UnfinishedBasement, 0, 14, 16, 12)
        .Door("rec-room", "shop").Door("rec-room", "store").Door("shop", "mechanical").Door("rec-room", "stairs-down", 3.5)
        .Storey("first", "First floor", 0)
        .Room("kitchen", RoomKind.Kitchen, 0, 0, 14, 12).Room("dining", RoomKind.Dining, 14, 0, 10, 12).Room("living", RoomKind.Living, 0, 12, 16, 14).Room("stairs-up", RoomKind.Stairs, 16, 12, 6, 14).Room("hall", RoomKind.Hallway, 22, 12, 16, 4)
        .Room("bedroom-1", RoomKind.Bedroom, 22, 16, 16, 10).Room("bedroom-2", RoomKind.Bedroom, 24, 0, 14, 12).Room("bath", RoomKind.Bathroom, 38, 8, 8, 10).Room("bedroom-3", RoomKind.Bedroom, 38, 18, 8, 8)
        .Door("kitchen", "dining", 5).Door("kitchen", "living", 5).Door("stairs-up", "hall").Door("living", "stairs-up", 3.5).Door("hall", "bedroom-1").Door("hall", "bedroom-2").Door("hall", "bath").Door("bedroom-1", "bedroom-3")
        .Out("living", 3, 2, OpeningKind.Hinged).Out("dining", 0, 3, OpeningKind.Sliding, 6).Out("bedroom-1", 2, 5).Out("bedroom-2", 0, 5)
        .Kitchen("kitchen", 13.6).Bath("bath").Appliance("washer", "mechanical", 1, 1).Appliance("dryer", "mechanical", 1, 4).Appliance("furnace", "mechanical", 0, 6).Appliance("water-heater", "mechanical", 0, 10).Appliance("sump-pump", "store", 3, 2).Appliance("freezer", "shop", 0, 4)
        .Panel("mechanical", 2, 5, 42).Job;

    /// <summary>A narrow house of three storeys.</summary>
    internal static Job ThreeStoreys() => new DrawnHouse("Juniper Steps")
        .Storey("ground", "Ground floor", 0)
        .Room("garage", RoomKind.Garage, 0, 0, 14, 22).Room("entry", RoomKind.Foyer, 14, 12, 8, 10).Room("stairs-0", RoomKind.Stairs, 14, 4, 8, 8).Room("laundry", RoomKind.Laundry, 0, 22, 10, 8).Room("half-bath", RoomKind.Bathroom, 10, 22, 6, 8).Room("study", RoomKind.Office, 16, 22, 6, 8)
        .Door("entry", "garage").Door("entry", "stairs-0", 3.5).Door("garage", "laundry").Door("laundry", "half-bath").Door("entry", "study")
        .Storey("middle", "Second floor", 9.5)
        .Room("kitchen", RoomKind.Kitchen, 0, 0, 14, 11).Room("dining", RoomKind.Dining, 0, 11, 14, 8).Room("living", RoomKind.Living, 0, 19, 22, 11).Room("stairs-1", RoomKind.Stairs, 14, 4, 8, 8).Room("landing", RoomKind.Hallway, 14, 12, 8, 7).Room("balcony", RoomKind.Deck, 0, 30, 10, 5)
        .Door("kitchen", "dining", 6).Door("dining", "living", 6).Door("landing", "stairs-1", 3.5).Door("landing", "living", 4).Door("living", "balcony")
        .Storey("top", "Third floor", 19)
        .Room("bedroom-1", RoomKind.Bedroom, 0, 18, 14, 12).Room("bath-1", RoomKind.Bathroom, 14, 22, 8, 8).Room("bedroom-2", RoomKind.Bedroom, 0, 0, 14, 9).Room("bath-2", RoomKind.Bathroom, 0, 9, 8, 9).Room("hall", RoomKind.Hallway, 8, 9, 6, 9).Room("stairs-2", RoomKind.Stairs, 14, 4, 8, 8).Room("bedroom-3", RoomKind.Bedroom, 14, 12, 8, 10)
        .Door("bedroom-1", "bath-1").Door("hall", "stairs-2").Door("hall", "bedroom-1").Door("hall", "bedroom-2").Door("hall", "bath-2").Door("hall", "bedroom-3")
        .Out("garage", 0, 2.5, OpeningKind.GarageDoor, 9).Out("entry", 1, 4, OpeningKind.Hinged).Out("bedroom-1", 2, 5).Out("bedroom-2", 0, 5).Out("living", 2, 4)
        .Kitchen("kitchen", 13.6).Bath("half-bath", false).Bath("bath-1").Bath("bath-2").Appliance("washer", "laundry", 2, 1).Appliance("dryer", "laundry", 2, 4).Appliance("garage-door", "garage", 0, 6).Appliance("ev-charger", "garage", 3, 6)
        .Panel("garage", 3, 12, 42).Job;

    /// <summary>A split level: half a storey between the living rooms and the bedrooms, a family room half under ground.</summary>
    internal static Job SplitLevel() => new DrawnHouse("Fern Split")
        .Storey("lower", "Lower level", -4.5)
        .Room("family", RoomKind.Family, 22, 0, 18, 14).Room("laundry", RoomKind.Laundry, 22, 14, 10, 10).Room("half-bath", RoomKind.Bathroom, 32, 14, 8, 10).Door("family", "laundry").Door("family", "half-bath")
        .Storey("main", "Main level", 0)
        .Room("kitchen", RoomKind.Kitchen, 0, 0, 12, 12).Room("dining", RoomKind.Dining, 12, 0, 10, 12).Room("living", RoomKind.Living, 0, 12, 16, 12).Room("stairs", RoomKind.Stairs, 16, 12, 6, 12)
        .Door("kitchen", "dining", 5).Door("kitchen", "living", 5).Door("living", "stairs", 3.5)
        .Storey("upper", "Upper level", 4.5)
        .Room("hall", RoomKind.Hallway, 22, 10, 18, 4).Room("bedroom-1", RoomKind.Bedroom, 22, 14, 12, 10).Room("bedroom-2", RoomKind.Bedroom, 22, 0, 10, 10).Room("bedroom-3", RoomKind.Bedroom, 32, 0, 8, 10).Room("bath", RoomKind.Bathroom, 34, 14, 6, 10)
        .Door("hall", "bedroom-1").Door("hall", "bedroom-2").Door("hall", "bedroom-3").Door("hall", "bath")
        .Out("living", 2, 2, OpeningKind.Hinged).Out("dining", 0, 2, OpeningKind.Sliding, 6).Out("bedroom-1", 2, 4).Out("bedroom-2", 0, 4).Out("family", 1, 5)
        .Kitchen("kitchen", 11.6).Bath("bath").Bath("half-bath", false).Appliance("washer", "laundry", 2, 1).Appliance("gas-dryer", "laundry", 2, 4).Appliance("furnace", "laundry", 3, 2)
        .Panel("laundry", 3, 7, 40).Job;

    /// <summary>A tiny house: one room, a bath and a loft.</summary>
    internal static Job Tiny() => new DrawnHouse("Wren Nest")
        .Storey("ground", "Ground floor", 0)
        .Room("great-room", RoomKind.Living, 0, 0, 12, 12).Room("kitchen", RoomKind.Kitchen, 12, 0, 8, 8).Room("bath", RoomKind.Bathroom, 12, 8, 8, 6).Room("bedroom", RoomKind.Bedroom, 0, 12, 12, 8).Room("porch", RoomKind.Porch, 12, 14, 8, 6)
        .Door("great-room", "kitchen", 4).Door("great-room", "bath").Door("great-room", "bedroom").Out("great-room", 3, 3, OpeningKind.Hinged)
        .Counter("kitchen", 0, 0.2, 5).Fixture(FixtureKind.Sink, "kitchen", 0, 1.5).Appliance("range", "kitchen", 1, 1, 2.5).Appliance("refrigerator", "kitchen", 1, 4.5, 3).Bath("bath").Appliance("water-heater", "bath", 3, 3.4)
        .Panel("bedroom", 3, 4, 24, 100).Job;

    /// <summary>A large house on one floor: 4000 sq ft, three wings, two panels.</summary>
    internal static Job Large() => new DrawnHouse("Long Meadow")
        .Storey("first", "First floor", 0)
        .Room("great-room", RoomKind.Living, 30, 14, 24, 22).Room("kitchen", RoomKind.Kitchen, 30, 0, 18, 14).Room("pantry", RoomKind.Pantry, 48, 0, 6, 14).Room("dining", RoomKind.Dining, 16, 0, 14, 14).Room("foyer", RoomKind.Foyer, 20, 24, 10, 12).Room("office", RoomKind.Office, 6, 24, 14, 12).Room("powder", RoomKind.Bathroom, 16, 14, 6, 10).Room("gallery", RoomKind.Hallway, 22, 14, 8, 10)
        .Room("mudroom", RoomKind.Laundry, 6, 0, 10, 14).Room("garage", RoomKind.Garage, -20, 0, 26, 24)
        .Room("bed-hall", RoomKind.Hallway, 54, 14, 24, 5).Room("bedroom-2", RoomKind.Bedroom, 54, 0, 13, 14).Room("bedroom-3", RoomKind.Bedroom, 67, 0, 13, 14).Room("hall-bath", RoomKind.Bathroom, 54, 19, 9, 9).Room("inner-hall", RoomKind.Hallway, 63, 19, 4, 12).Room("bedroom-4", RoomKind.Bedroom, 67, 19, 11, 12)
        .Room("main-bedroom", RoomKind.Bedroom, 54, 31, 20, 16).Room("main-bath", RoomKind.Bathroom, 74, 31, 12, 16).Room("dressing", RoomKind.Closet, 54, 47, 14, 8).Room("terrace", RoomKind.Deck, 30, 36, 24, 12)
        .Door("great-room", "kitchen", 8).Door("kitchen", "pantry").Door("kitchen", "dining", 5).Door("dining", "mudroom").Door("mudroom", "garage").Door("dining", "gallery", 4).Door("gallery", "great-room", 4).Door("gallery", "foyer", 4).Door("foyer", "office").Door("gallery", "powder")
        .Door("great-room", "bed-hall", 3.5).Door("bed-hall", "bedroom-2").Door("bed-hall", "bedroom-3").Door("bed-hall", "hall-bath").Door("bed-hall", "inner-hall", 3.2).Door("inner-hall", "bedroom-4").Door("inner-hall", "main-bedroom").Door("main-bedroom", "main-bath").Door("main-bedroom", "dressing").Door("great-room", "terrace", 3)
        .Out("foyer", 2, 4, OpeningKind.Hinged).Out("garage", 0, 2, OpeningKind.GarageDoor, 9).Out("garage", 0, 14, OpeningKind.GarageDoor, 9).Out("main-bedroom", 3, 10).Out("bedroom-2", 0, 4).Out("bedroom-3", 0, 4)
        .Kitchen("kitchen", 17.6).Bath("powder", false).Bath("hall-bath").Bath("main-bath").Appliance("washer", "mudroom", 0, 1).Appliance("dryer", "mudroom", 0, 4).Appliance("ev-charger", "garage", 3, 4).Appliance("garage-door", "garage", 0, 6).Appliance("freezer", "garage", 2, 4).Appliance("water-heater", "garage", 2, 10)
        .Panel("garage", 2, 18, 54).Job;
}
