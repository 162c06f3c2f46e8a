namespace Circuitum.Core.Jobs;

/// <summary>Kinds of fixed thing.</summary>
public enum FixtureKind
{
    /// <summary>A kitchen or laundry sink.</summary>
    Sink,

    /// <summary>A bathroom basin.</summary>
    Basin,

    /// <summary>A bathtub, with or without a shower over it.</summary>
    Tub,

    /// <summary>A shower stall.</summary>
    Shower,

    /// <summary>A toilet.</summary>
    Toilet,

    /// <summary>A cabinet from the floor up without a counter, which breaks a wall space.</summary>
    Cabinet,

    /// <summary>A fireplace, which breaks a wall space.</summary>
    Fireplace,

    /// <summary>A built-up beam: cable passes under or beside it.</summary>
    Beam,

    /// <summary>A post from floor to ceiling.</summary>
    Post,

    /// <summary>A duct or a plumbing wall that nothing is bored through.</summary>
    Duct,

    /// <summary>The meter of the utility, on the outside of its wall: the service comes in there.</summary>
    Meter,
}
