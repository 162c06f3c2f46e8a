namespace Circuitum.Core.Review;

/// <summary>Something that two editions ask for differently in one house.</summary>
/// <param name="Where">The room, or the house.</param>
/// <param name="What">What it is about.</param>
/// <param name="InOne">In the first edition.</param>
/// <param name="InOther">In the second.</param>
public sealed record EditionDifference(string Where, string What, string InOne, string InOther);
