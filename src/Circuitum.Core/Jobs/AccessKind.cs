namespace Circuitum.Core.Jobs;

/// <summary>How one gets into an attic or a crawl space.</summary>
public enum AccessKind
{
    /// <summary>No way in.</summary>
    None,

    /// <summary>Permanent stairs or a permanent ladder: the rules of a reachable attic hold for all of it.</summary>
    Stairs,

    /// <summary>A folding ladder.</summary>
    FoldingLadder,

    /// <summary>A scuttle hole: cable near it is guarded.</summary>
    Scuttle,
}
