using Circuitum.Core.Jobs;

namespace Circuitum.Formats.Dxf;

/// <summary>Kinds of room by their names.</summary>
internal static class RoomNames
{
    private static readonly (string Word, RoomKind Kind)[] Words =
    [
        ("kitchen", RoomKind.Kitchen),
        ("dining", RoomKind.Dining),
        ("breakfast", RoomKind.Dining),
        ("nook", RoomKind.Dining),
        ("pantry", RoomKind.Pantry),
        ("family", RoomKind.Family),
        ("great", RoomKind.Living),
        ("living", RoomKind.Living),
        ("office", RoomKind.Office),
        ("study", RoomKind.Den),
        ("den", RoomKind.Den),
        ("library", RoomKind.Den),
        ("half bath", RoomKind.Bathroom),
        ("bath", RoomKind.Bathroom),
        ("powder", RoomKind.Bathroom),
        ("toilet", RoomKind.Bathroom),
        ("ensuite", RoomKind.Bathroom),
        ("laundry", RoomKind.Laundry),
        ("closet", RoomKind.Closet),
        ("wardrobe", RoomKind.Closet),
        ("linen", RoomKind.Closet),
        ("bed", RoomKind.Bedroom),
        ("guest", RoomKind.Bedroom),
        ("hall", RoomKind.Hallway),
        ("corridor", RoomKind.Hallway),
        ("foyer", RoomKind.Foyer),
        ("entry", RoomKind.Foyer),
        ("stair", RoomKind.Stairs),
        ("utility", RoomKind.Utility),
        ("mech", RoomKind.Utility),
        ("garage", RoomKind.Garage),
        ("porch", RoomKind.Porch),
        ("deck", RoomKind.Deck),
        ("patio", RoomKind.Deck),
        ("balcony", RoomKind.Deck),
        ("sunroom", RoomKind.Sunroom),
        ("recreation", RoomKind.Recreation),
        ("play", RoomKind.Recreation),
        ("attic", RoomKind.Attic),
        ("crawl", RoomKind.CrawlSpace),
        ("basement", RoomKind.UnfinishedBasement),
    ];

    /// <summary>The kind that a word is, as the writer puts it into a drawing.</summary>
    internal static RoomKind? Exact(string word) =>
        Enum.GetValues<RoomKind>().Cast<RoomKind?>().FirstOrDefault(k => TradeEnumConverter.Word(k!.Value.ToString()) == word);

    /// <summary>The kind that a name suggests; a living room when it suggests none, because its rules ask for most.</summary>
    internal static RoomKind KindOf(string name) =>
        Words.Where(w => name.Contains(w.Word, StringComparison.OrdinalIgnoreCase)).Select(w => (RoomKind?)w.Kind).FirstOrDefault()
        ?? RoomKind.Living;
}
