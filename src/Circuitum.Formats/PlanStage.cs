namespace Circuitum.Formats;

/// <summary>What a plan shows most strongly.</summary>
public enum PlanStage
{
    /// <summary>Rooms, openings, counters and appliances.</summary>
    Rooms,

    /// <summary>Boxes.</summary>
    Boxes,

    /// <summary>Boxes with circuit numbers, and the circuits' cable as lines.</summary>
    Circuits,

    /// <summary>Boxes, and every cable by its way, to be picked and led elsewhere.</summary>
    Runs,

    /// <summary>Rooms with all their dimensions, for paper.</summary>
    Dimensioned,
}
