using System.Collections.Immutable;
using System.Globalization;
using System.Text.RegularExpressions;
using Circuitum.Core.Intake;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Entry;

/// <summary>
/// Reads lines such as <c>Kitchen 14-6 x 16 e of Great room, door to Hall, 2 windows 3-0 n</c>. It knows words and measures and nothing
/// of the house.
/// </summary>
/// <param name="units">What a bare number means.</param>
internal sealed partial class RoomLineReader(LengthUnits units)
{
    /// <summary>An example that is good.</summary>
    internal const string Example = "Kitchen 14-6 x 16 e of Great room";

    private const string Measure =
        """(?:\d+(?:\.\d+)?\s?(?:mm|cm|m|in|ft)\b|\d+(?:\.\d+)?'(?:\s?-?\d+(?:\.\d+)?(?:[\s-]\d+/\d+)?"?)?"""
        + """|\d+-\d+(?:\s\d+/\d+)?"?|\d+(?:\.\d+)?"?)""";
    private const string Compass = "n|e|s|w|north|east|south|west";
    private const string Count = @"(?:(?<count>\d{1,2}|an?|two|three|four)\s+)?";
    private const string Found =
        $@"(?:\s+to\s+(?<to>(?!{Compass}\b).+?)|\s+(?:out\s+|on\s+|in\s+)?(?:the\s+)?(?<side>{Compass})(?:\s+wall)?)?";
    private const RegexOptions Plain = RegexOptions.CultureInvariant | RegexOptions.ExplicitCapture | RegexOptions.IgnoreCase;

    private readonly List<LineProblem> problems = [];

    /// <summary>What was wrong so far.</summary>
    internal IReadOnlyList<LineProblem> Problems => problems;

    /// <summary>A line; none when it is empty, a remark after <c>#</c>, or wrong.</summary>
    /// <param name="number">Its number, from 1.</param>
    /// <param name="text">The line.</param>
    /// <param name="known">Whether a name is that of a room that is there, so that its line can do without a size.</param>
    internal RoomLine? Read(int number, string text, Func<string, bool> known)
    {
        var line = text.Split('#')[0].Trim().TrimEnd('.', ';', ',');
        if (line.Length == 0)
            return null;
        var before = problems.Count;
        var pieces = line.Split(',', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries);
        if (pieces.Length == 0)
            return null;
        var room = Head(number, pieces[0], known);
        var parts = pieces.Skip(1).Select(p => Part(number, p)).OfType<LinePart>().ToImmutableArray();
        return room is null || problems.Count > before ? null : room with { Parts = parts };
    }

    /// <summary>The storey that a line begins, with the height of its floor over the first; none for any other line.</summary>
    /// <param name="number">Its number, from 1.</param>
    /// <param name="text">The line.</param>
    internal (string Name, Length Floor)? ReadStorey(int number, string text)
    {
        if (Storey().Match(text.Split('#')[0].Trim()) is not { Success: true } match)
            return null;
        if (Length(number, "storey", match.Groups["floor"].Value) is not { } floor)
            return null;
        var name = match.Groups["name"].Value.Trim();
        return (name, match.Groups["down"].Success ? -floor : floor);
    }

    private RoomLine? Head(int number, string text, Func<string, bool> known)
    {
        var match = Room().Match(text);
        if (!match.Success)
        {
            if (known(text))
                return new(number, text, []);
            return Wrong(number, "size", $"'{Short(text)}' has no size. Type a name and a size, such as {Example}.");
        }

        var name = match.Groups["name"].Value.Trim().TrimEnd(':');
        if (name.Length > JobRules.LongestName)
            return Wrong(number, "name", $"it is longer than {JobRules.LongestName} letters. Type a shorter one, such as Kitchen.");
        if (
            Length(number, "size", match.Groups["wide"].Value) is not { } wide
            || Length(number, "size", match.Groups["deep"].Value) is not { } deep
        )
            return null;
        RoomKind? kind = null;
        if (match.Groups["kind"] is { Success: true } said && (kind = RoomNames.Known(said.Value)) is null)
            return Wrong(number, "kind", $"'{Short(said.Value)}' is no kind of room. Type one such as (bedroom) or (garage).");
        return Place(number, match.Groups["place"].Value.Trim()) is { } place
            ? new(number, name, [])
            {
                Kind = kind ?? RoomNames.KindOf(name),
                Size = (wide, deep),
                Place = place,
            }
            : null;
    }

    private LinePlace? Place(int number, string text)
    {
        if (text.Length == 0)
            return new();
        if (Over().Match(text) is { Success: true } over)
            return new() { Over = true, Of = over.Groups["of"].Value };
        var match = Beside().Match(text);
        if (!match.Success)
        {
            Wrong(
                number,
                "place",
                $"'{Short(text)}' is no place. Type one such as e of Great room, or s of Hall flush e, or n of Hall 4 e."
            );
            return null;
        }

        var place = new LinePlace
        {
            On = SideOf(match.Groups["side"].Value),
            Of = match.Groups["of"].Value.Trim(),
            Flush = match.Groups["flush"] is { Success: true } flush ? SideOf(flush.Value) : null,
        };
        if (!match.Groups["by"].Success)
            return place;
        return Length(number, "place", match.Groups["by"].Value) is { } by
            ? place with
            {
                Shift = (by, SideOf(match.Groups["way"].Value)),
            }
            : null;
    }

    private LinePart? Part(int number, string text)
    {
        if (text.Equals("furnished", StringComparison.OrdinalIgnoreCase))
            return new FurnishedPart(text);
        if (Opening().Match(text) is { Success: true } opening)
        {
            var width = Optional(number, text, opening.Groups["width"]);
            var at = Optional(number, text, opening.Groups["at"]);
            return new OpeningPart(text, KindOf(opening))
            {
                Count = Counted(opening.Groups["count"].Value),
                To = opening.Groups["to"].Value.Trim(),
                On = opening.Groups["side"] is { Success: true } side ? SideOf(side.Value) : null,
                Width = width,
                At = at,
            };
        }

        if (Nook().Match(text) is { Success: true } nook)
        {
            if (
                Length(number, text, nook.Groups["wide"].Value) is not { } along
                || Length(number, text, nook.Groups["deep"].Value) is not { } deep
            )
                return null;
            var at = Optional(number, text, nook.Groups["at"]);
            return new NookPart(text, nook.Groups["name"].Value.Trim(), along, deep, SideOf(nook.Groups["side"].Value), at);
        }

        if (Thing().Match(text) is { Success: true } thing && ThingMaker.WordOf(thing.Groups["what"].Value) is { } word)
        {
            var at = Optional(number, text, thing.Groups["at"]);
            return new ThingPart(text, word, thing.Groups["side"] is { Success: true } side ? SideOf(side.Value) : null, at);
        }

        Wrong(
            number,
            Short(text),
            $"it is not known. Type door to Hall, door s, {units.Either("2 windows 3-0 e, opening 6", "2 windows 0.9 e, opening 1.8")} to "
                + $"Kitchen, slider s, garage door {units.Either("16 n, closet 6 x 2", "4.9 n, closet 1.8 x 0.6")} w, water heater n, "
                + "panel w, or furnished."
        );
        return null;
    }

    private static OpeningKind KindOf(Match opening) =>
        opening.Groups["window"].Success ? OpeningKind.Window
        : opening.Groups["garage"].Success ? OpeningKind.GarageDoor
        : opening.Groups["pocket"].Success ? OpeningKind.Pocket
        : opening.Groups["sliding"].Success ? OpeningKind.Sliding
        : opening.Groups["cased"].Success ? OpeningKind.Cased
        : OpeningKind.Hinged;

    private static int Counted(string word) =>
        word.ToLowerInvariant() switch
        {
            "two" => 2,
            "three" => 3,
            "four" => 4,
            _ => int.TryParse(word, NumberStyles.None, CultureInfo.InvariantCulture, out var n) ? n : 1,
        };

    private static Side SideOf(string word) =>
        char.ToLowerInvariant(word[0]) switch
        {
            'n' => Side.North,
            'e' => Side.East,
            's' => Side.South,
            _ => Side.West,
        };

    private Length? Optional(int number, string field, Group typed) => typed.Success ? Length(number, field, typed.Value) : null;

    private Length? Length(int number, string field, string text)
    {
        if (LengthText.TryParse(text, units, out var length, out var problem))
            return length;
        Wrong(number, Short(field), problem);
        return null;
    }

    private RoomLine? Wrong(int number, string field, string sentence)
    {
        problems.Add(new(number, field, sentence));
        return null;
    }

    private static string Short(string text) => text.Length > 40 ? text[..40] + "..." : text;

    [GeneratedRegex(
        $@"^(?<name>.+?)[\s:]+(?<wide>{Measure})\s*(?:x|×|by)\s*(?<deep>{Measure})(?:\s*\((?<kind>[^)]*)\))?(?<place>(?:\s.*)?)$",
        Plain
    )]
    private static partial Regex Room();

    [GeneratedRegex($@"^storey\s+(?<name>\S.{{0,80}}?)\s+(?<down>-|down\s+)?(?<floor>{Measure})$", Plain)]
    private static partial Regex Storey();

    [GeneratedRegex(@"^over\s+(?<of>.+)$", Plain)]
    private static partial Regex Over();

    [GeneratedRegex(
        $@"^(?<side>{Compass})(?:\s+of\s+(?<of>.+?))?(?:\s+flush\s+(?<flush>{Compass}))?(?:\s+(?<by>{Measure})\s+(?<way>{Compass}))?$",
        Plain
    )]
    private static partial Regex Beside();

    [GeneratedRegex(
        $@"^{Count}(?:(?<window>windows?|win)|(?<garage>(?:garage|overhead)\s+doors?)|(?<pocket>pocket(?:\s+doors?)?)"
            + $@"|(?<sliding>sliders?|(?:sliding|patio|bifold|bypass)(?:\s+doors?)?)|(?<cased>(?:cased\s+)?openings?|open|cased)"
            + $@"|(?:(?:french|front|back|entry)\s+)?doors?)(?:\s+(?<width>{Measure})(?:\s+wide)?)?{Found}(?:\s+at\s+(?<at>{Measure}))?$",
        Plain
    )]
    private static partial Regex Opening();

    [GeneratedRegex(
        $@"^(?:an?\s+)?(?<what>[\p{{L}}\s-]+?)(?:\s+(?:on\s+)?(?:the\s+)?(?<side>{Compass})(?:\s+wall)?)?(?:\s+at\s+(?<at>{Measure}))?$",
        Plain
    )]
    private static partial Regex Thing();

    [GeneratedRegex(
        $@"^(?<name>.+?)\s+(?<wide>{Measure})\s*(?:x|×|by)\s*(?<deep>{Measure})\s+(?:on\s+|in\s+)?(?:the\s+)?(?<side>{Compass})"
            + $@"(?:\s+wall)?(?:\s+at\s+(?<at>{Measure}))?$",
        Plain
    )]
    private static partial Regex Nook();
}
