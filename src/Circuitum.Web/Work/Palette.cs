using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;

namespace Circuitum.Web.Work;

/// <summary>All that can be put into a house, by where it is looked for.</summary>
public static class Palette
{
    /// <summary>What draws a room.</summary>
    public static Tool Room { get; } = new("room", "Room", Key: 'w');

    /// <summary>A hinged door.</summary>
    public static Tool Door => Of(OpeningKind.Hinged);

    /// <summary>A window.</summary>
    public static Tool Window => Of(OpeningKind.Window);

    /// <summary>Everything.</summary>
    public static ImmutableArray<Tool> All { get; } =
    [
        Room,
        .. Enum.GetValues<OpeningKind>().Select(Of),
        new("counter", "Counter", ThingGroup.Kitchen),
        new("island", "Island", ThingGroup.Kitchen),
        .. Enum.GetValues<FixtureKind>().Select(k => new Tool(Key("fixture", k), Sentence(Words.Of(k)), GroupOf(k))),
        new("panel", "Panel", ThingGroup.Electrical),
        new("sub-panel", "Sub-panel", ThingGroup.Electrical),
        .. CodeLibrary
            .Appliances.Values.OrderBy(t => t.Name, StringComparer.Ordinal)
            .Select(t => new Tool($"appliance:{t.Id}", t.Name, t.Group)),
        .. Enum.GetValues<WishKind>().Select(k => new Tool(Key("wish", k), Sentence(Words.Of(k)), ThingGroup.Notes)),
    ];

    /// <summary>The groups with what is in them, in their order.</summary>
    public static IEnumerable<IGrouping<ThingGroup, Tool>> Groups => All.GroupBy(t => t.Group).OrderBy(g => g.Key);

    /// <summary>What can be put on a wall.</summary>
    public static IEnumerable<Tool> ForWall =>
        All.Where(t => t != Room && t.Word != "island" && !t.Word.StartsWith("wish:", StringComparison.Ordinal));

    /// <summary>What a group is called.</summary>
    public static string Name(ThingGroup group) => Sentence(Words.Of(group));

    private static Tool Of(OpeningKind kind) =>
        new(
            Key("opening", kind),
            Words.Name(kind),
            Key: kind switch
            {
                OpeningKind.Hinged => 'd',
                OpeningKind.Window => 'o',
                _ => null,
            }
        );

    // An opening and an appliance may have one word: its kind stands before it.
    private static string Key(string kind, Enum value) => $"{kind}:{Words.Of(value).Replace(' ', '-')}";

    private static string Sentence(string words) => char.ToUpperInvariant(words[0]) + words[1..];

    private static ThingGroup GroupOf(FixtureKind kind) =>
        kind switch
        {
            FixtureKind.Sink or FixtureKind.Cabinet => ThingGroup.Kitchen,
            FixtureKind.Basin or FixtureKind.Tub or FixtureKind.Shower or FixtureKind.Toilet => ThingGroup.BathAndLaundry,
            FixtureKind.Fireplace or FixtureKind.Duct => ThingGroup.HeatingAndCooling,
            FixtureKind.Meter => ThingGroup.Electrical,
            _ => ThingGroup.WallsAndOpenings,
        };
}
