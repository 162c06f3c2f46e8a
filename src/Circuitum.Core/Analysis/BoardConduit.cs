using Circuitum.Core.Jobs;

namespace Circuitum.Core.Analysis;

/// <summary>How the conduit of a house with split boards is told.</summary>
public static class BoardConduit
{
    /// <summary>Where it runs, after the word conduit.</summary>
    /// <param name="p">The job's preferences.</param>
    public static string Words(Preferences p) =>
        p.ConduitPlace == ConduitPlace.Chased ? "chased into walls, in floor and ceiling" : "on the surface of walls and ceiling";

    /// <summary>What the box of a point is for it.</summary>
    /// <param name="p">The job's preferences.</param>
    public static string Box(Preferences p) => p.ConduitPlace == ConduitPlace.Chased ? "flush box" : "surface box";
}
