namespace Circuitum.Formats;

/// <summary>Kinds of strokes.</summary>
public enum StrokeKind
{
    /// <summary>A line.</summary>
    Line,

    /// <summary>A rectangle's outline.</summary>
    Box,

    /// <summary>A rectangle filled with ink.</summary>
    Fill,

    /// <summary>A circle's outline.</summary>
    Circle,

    /// <summary>Text.</summary>
    Text,
}
