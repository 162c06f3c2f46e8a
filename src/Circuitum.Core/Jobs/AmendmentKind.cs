namespace Circuitum.Core.Jobs;

/// <summary>What an amendment does.</summary>
public enum AmendmentKind
{
    /// <summary>Changes a number of the edition.</summary>
    Number,

    /// <summary>Changes the words or the grading of a rule.</summary>
    Rule,

    /// <summary>Switches a rule off.</summary>
    Off,

    /// <summary>Adds a rule.</summary>
    Add,
}
