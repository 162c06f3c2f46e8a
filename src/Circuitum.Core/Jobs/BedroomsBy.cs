namespace Circuitum.Core.Jobs;

/// <summary>How many bedrooms share a receptacle circuit.</summary>
public enum BedroomsBy
{
    /// <summary>Two at most.</summary>
    Two,

    /// <summary>Each has its own.</summary>
    One,

    /// <summary>The main bedroom has its own, the others two at most.</summary>
    MainAlone,
}
