using System.Globalization;

namespace Circuitum.Core.Analysis;

/// <summary>
/// A reference to a thing of a job, as findings, addresses and drawings name it: <c>box:kitchen.r1</c>, <c>wall:kitchen:2</c>.
/// </summary>
/// <param name="Kind">What it is.</param>
/// <param name="Id">Its id; of a wall its room, of a cable the box in which it ends.</param>
/// <param name="Part">The number of a wall, or the box from which a cable comes; none for a home run and for all else.</param>
public readonly record struct Subject(SubjectKind Kind, string Id, string? Part = null)
{
    /// <summary>An appliance.</summary>
    public static Subject Appliance(string id) => new(SubjectKind.Appliance, id);

    /// <summary>A box.</summary>
    public static Subject Box(string id) => new(SubjectKind.Box, id);

    /// <summary>A circuit.</summary>
    public static Subject Circuit(int number) => new(SubjectKind.Circuit, number.ToString(CultureInfo.InvariantCulture));

    /// <summary>A counter.</summary>
    public static Subject Counter(string id) => new(SubjectKind.Counter, id);

    /// <summary>A fixture.</summary>
    public static Subject Fixture(string id) => new(SubjectKind.Fixture, id);

    /// <summary>An opening.</summary>
    public static Subject Opening(string id) => new(SubjectKind.Opening, id);

    /// <summary>A panel.</summary>
    public static Subject Panel(string id) => new(SubjectKind.Panel, id);

    /// <summary>A room.</summary>
    public static Subject Room(string id) => new(SubjectKind.Room, id);

    /// <summary>A storey.</summary>
    public static Subject Storey(string id) => new(SubjectKind.Storey, id);

    /// <summary>A wall of a room.</summary>
    public static Subject Wall(string room, int number) => new(SubjectKind.Wall, room, number.ToString(CultureInfo.InvariantCulture));

    /// <summary>A wish.</summary>
    public static Subject Wish(string id) => new(SubjectKind.Wish, id);

    /// <summary>The number of a circuit or of a wall; none for all else, or where it is no number.</summary>
    public int? Number =>
        int.TryParse(
            Kind == SubjectKind.Wall ? Part
                : Kind == SubjectKind.Circuit ? Id
                : null,
            NumberStyles.None,
            CultureInfo.InvariantCulture,
            out var n
        )
            ? n
            : null;

    /// <summary>Reads a reference as it is written; none when it is not one.</summary>
    public static Subject? TryParse(string? text)
    {
        if (text?.Split(':') is not [var word, { Length: > 0 } id, .. var rest] || rest.Length > 1 || int.TryParse(word, out _))
            return null;
        return Enum.TryParse<SubjectKind>(word, ignoreCase: true, out var kind)
            ? new(kind, id, rest is [{ Length: > 0 } part] ? part : null)
            : null;
    }

    /// <summary>Reads a reference.</summary>
    /// <exception cref="FormatException">It is not one.</exception>
    public static Subject Parse(string text) => TryParse(text) ?? throw new FormatException($"'{text}' names nothing of a job.");

    /// <summary>The reference as it is written.</summary>
    public override string ToString() => $"{Kind.ToString().ToLowerInvariant()}:{Id}{(Part is null ? "" : $":{Part}")}";
}
