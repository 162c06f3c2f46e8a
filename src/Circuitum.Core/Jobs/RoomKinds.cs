namespace Circuitum.Core.Jobs;

/// <summary>What follows from a room's kind whatever the edition.</summary>
public static class RoomKinds
{
    /// <summary>Whether a kind of room is in the open air: the wall between it and the house is an outside wall.</summary>
    public static bool OpenAir(this RoomKind kind) => kind is RoomKind.Porch or RoomKind.Deck or RoomKind.Outdoors;

    /// <summary>Whether people do not walk in and out by a door: attics and crawl spaces have a hatch.</summary>
    public static bool Doorless(this RoomKind kind) => kind.OpenAir() || kind is RoomKind.Attic or RoomKind.CrawlSpace;
}
