using System.Text.RegularExpressions;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Entry;

/// <summary>Kinds of room by what the trade and people call them.</summary>
public static partial class RoomNames
{
    // The first that a word of the name begins with; what tells more stands before what tells less.
    private static readonly (string Word, RoomKind Kind)[] Words =
    [
        ("closet", RoomKind.Closet),
        ("wardrobe", RoomKind.Closet),
        ("linen", RoomKind.Closet),
        ("dressing", RoomKind.Closet),
        ("wic", RoomKind.Closet),
        ("bath", RoomKind.Bathroom),
        ("powder", RoomKind.Bathroom),
        ("toilet", RoomKind.Bathroom),
        ("ensuite", RoomKind.Bathroom),
        ("washroom", RoomKind.Bathroom),
        ("water closet", RoomKind.Bathroom),
        ("wc", RoomKind.Bathroom),
        ("shower", RoomKind.Bathroom),
        ("pantry", RoomKind.Pantry),
        ("kitchen", RoomKind.Kitchen),
        ("dining", RoomKind.Dining),
        ("breakfast", RoomKind.Dining),
        ("nook", RoomKind.Dining),
        ("laundry", RoomKind.Laundry),
        ("garage", RoomKind.Garage),
        ("carport", RoomKind.Garage),
        ("workshop", RoomKind.AccessoryBuilding),
        ("shop", RoomKind.AccessoryBuilding),
        ("shed", RoomKind.AccessoryBuilding),
        ("barn", RoomKind.AccessoryBuilding),
        ("family", RoomKind.Family),
        ("great", RoomKind.Living),
        ("living", RoomKind.Living),
        ("lounge", RoomKind.Living),
        ("office", RoomKind.Office),
        ("study", RoomKind.Den),
        ("den", RoomKind.Den),
        ("library", RoomKind.Den),
        ("sewing", RoomKind.Den),
        ("craft", RoomKind.Den),
        ("loft", RoomKind.Den),
        ("bed", RoomKind.Bedroom),
        ("br", RoomKind.Bedroom),
        ("master", RoomKind.Bedroom),
        ("owner", RoomKind.Bedroom),
        ("primary", RoomKind.Bedroom),
        ("guest", RoomKind.Bedroom),
        ("nursery", RoomKind.Bedroom),
        ("hall", RoomKind.Hallway),
        ("corridor", RoomKind.Hallway),
        ("landing", RoomKind.Hallway),
        ("foyer", RoomKind.Foyer),
        ("entry", RoomKind.Foyer),
        ("vestibule", RoomKind.Foyer),
        ("mud", RoomKind.Foyer),
        ("stair", RoomKind.Stairs),
        ("utility", RoomKind.Utility),
        ("mech", RoomKind.Utility),
        ("furnace", RoomKind.Utility),
        ("boiler", RoomKind.Utility),
        ("storage", RoomKind.Utility),
        ("store", RoomKind.Utility),
        ("porch", RoomKind.Porch),
        ("veranda", RoomKind.Porch),
        ("deck", RoomKind.Deck),
        ("patio", RoomKind.Deck),
        ("terrace", RoomKind.Deck),
        ("balcony", RoomKind.Deck),
        ("sunroom", RoomKind.Sunroom),
        ("conservatory", RoomKind.Sunroom),
        ("rec", RoomKind.Recreation),
        ("play", RoomKind.Recreation),
        ("game", RoomKind.Recreation),
        ("media", RoomKind.Recreation),
        ("bonus", RoomKind.Recreation),
        ("gym", RoomKind.Recreation),
        ("exercise", RoomKind.Recreation),
        ("attic", RoomKind.Attic),
        ("crawl", RoomKind.CrawlSpace),
        ("finished basement", RoomKind.FinishedBasement),
        ("basement", RoomKind.UnfinishedBasement),
        ("cellar", RoomKind.UnfinishedBasement),
        ("yard", RoomKind.Outdoors),
        ("outdoors", RoomKind.Outdoors),
    ];

    /// <summary>The kind that a name suggests, or none when it suggests nothing.</summary>
    /// <param name="name">Such as <c>Hall bath</c>.</param>
    public static RoomKind? Known(string name)
    {
        var words = string.Join(' ', Letters().Matches(name.ToLowerInvariant()).Select(m => m.Value));
        return Words
            .Where(w => $" {words}".Contains($" {w.Word}", StringComparison.Ordinal))
            .Select(w => (RoomKind?)w.Kind)
            .FirstOrDefault();
    }

    /// <summary>The kind that a name suggests; a living room when it suggests none, because its rules ask for most.</summary>
    public static RoomKind KindOf(string name) => Known(name) ?? RoomKind.Living;

    [GeneratedRegex(@"\p{L}+", RegexOptions.CultureInvariant)]
    private static partial Regex Letters();
}
