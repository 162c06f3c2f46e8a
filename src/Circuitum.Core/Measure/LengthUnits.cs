namespace Circuitum.Core.Measure;

/// <summary>In what the lengths of a job are told, and what one means that is typed as a bare number.</summary>
public enum LengthUnits
{
    /// <summary>Feet while it is the size of a room, millimetres from 300 on; between them it has to be said.</summary>
    FeetInches,

    /// <summary>Metres while it is the size of a room, millimetres from 60 on.</summary>
    Metric,
}
