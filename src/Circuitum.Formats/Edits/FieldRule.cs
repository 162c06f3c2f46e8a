namespace Circuitum.Formats.Edits;

/// <summary>How one value of one edit is read and written, where its type alone does not tell.</summary>
/// <param name="Read">The value from the fields.</param>
/// <param name="Write">The fields of a value, which may be none; given what holds it, for values that stand in one field together.</param>
internal sealed record FieldRule(Func<EditReader, object?> Read, Func<object?, object, IEnumerable<(string, string)>> Write)
{
    /// <summary>A value that stands in one field.</summary>
    /// <param name="name">The field.</param>
    /// <param name="read">The value.</param>
    /// <param name="write">Its text; none when nothing is written.</param>
    internal static FieldRule One(string name, Func<EditReader, object?> read, Func<object, string?> write) =>
        new(read, (value, _) => value is not null && write(value) is { } text ? [(name, text)] : []);
}
