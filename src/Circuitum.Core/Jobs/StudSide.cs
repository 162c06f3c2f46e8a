namespace Circuitum.Core.Jobs;

/// <summary>Which side of a stud a box is nailed to, seen from the room.</summary>
public enum StudSide
{
    /// <summary>To the left of its stud.</summary>
    Left,

    /// <summary>To the right of its stud.</summary>
    Right,
}
