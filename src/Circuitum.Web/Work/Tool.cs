using Circuitum.Core.Codes;

namespace Circuitum.Web.Work;

/// <summary>What a hand on the plan can take up: to pick, to draw, to put something down.</summary>
/// <param name="Word">What the page calls it: <c>room</c>, <c>opening:hinged</c>, <c>appliance:range</c>; empty picks and drags.</param>
/// <param name="Title">What a person reads.</param>
/// <param name="Group">Where it is looked for.</param>
/// <param name="Key">The key that takes it up; none for most.</param>
public sealed record Tool(string Word, string Title, ThingGroup Group = ThingGroup.WallsAndOpenings, char? Key = null)
{
    /// <summary>Picks and drags.</summary>
    public static Tool Pick { get; } = new("", "Pick", Key: 'v');
}
