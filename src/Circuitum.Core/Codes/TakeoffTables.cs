using System.Collections.Immutable;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Codes;

/// <summary>What is counted for a house and how: practice, not code, and data so that it can be changed in one place.</summary>
/// <param name="Items">What can be bought.</param>
/// <param name="Coils">How cable is sold; the first row that names a cable holds, a star names all.</param>
/// <param name="Connectors">What joins wires, the smallest of each school first.</param>
/// <param name="Rules">The numbers of the counting.</param>
/// <param name="Labour">What takes time.</param>
public sealed record TakeoffTables(
    ImmutableArray<ItemType> Items,
    ImmutableArray<CoilRow> Coils,
    ImmutableArray<ConnectorType> Connectors,
    CountRules Rules,
    ImmutableArray<LabourTask> Labour
)
{
    /// <summary>The coils in which a cable is sold, in feet, the usual one first.</summary>
    /// <param name="cable">Such as <c>12-2</c>.</param>
    public ImmutableArray<int> CoilsOf(string cable) => CoilOf(cable).Feet;

    /// <summary>How a cable is sold.</summary>
    /// <param name="cable">Such as <c>12-2</c>.</param>
    public CoilRow CoilOf(string cable) => Coils.First(c => c.Cables.Contains(cable) || c.Cables.Contains("*"));

    /// <summary>The kind of item with an id.</summary>
    /// <exception cref="InvalidOperationException">There is none.</exception>
    public ItemType Item(string id) => Items.First(i => i.Id == id);
}

/// <summary>A kind of thing that is bought.</summary>
/// <param name="Id">Its key; what is of one kind and yet not the same has more after it, such as <c>cable.12-2</c>.</param>
/// <param name="Group">The heading that it stands under.</param>
/// <param name="Text">What to ask for at the counter; <c>{0}</c> is what tells it from others of its kind.</param>
/// <param name="Unit">Whether it is counted or measured.</param>
/// <param name="Stage">When it is needed.</param>
/// <param name="Why">How it is counted, in a sentence.</param>
/// <param name="Pack">How it is sold, or none for one by one and for cable.</param>
public sealed record ItemType(string Id, string Group, string Text, ItemUnit Unit, BuyStage Stage, string Why, Pack? Pack = null);

/// <summary>What a quantity is in.</summary>
public enum ItemUnit
{
    /// <summary>Pieces.</summary>
    Each,

    /// <summary>Feet.</summary>
    Feet,
}

/// <summary>How a thing is sold.</summary>
/// <param name="Text">Such as <c>box</c>.</param>
/// <param name="Holds">How many are in it, or how many feet.</param>
public sealed record Pack(string Text, int Holds);

/// <summary>The coils in which some cables are sold.</summary>
/// <param name="Cables">Such as <c>12-2</c>.</param>
/// <param name="Feet">Lengths, the usual one first.</param>
/// <param name="Small">Shorter ones, for what is left over; the shortest first.</param>
public sealed record CoilRow(ImmutableArray<string> Cables, ImmutableArray<int> Feet, ImmutableArray<int> Small);

/// <summary>Something that joins wires.</summary>
/// <param name="Id">Its key.</param>
/// <param name="School">The way of connecting that it belongs to.</param>
/// <param name="Text">What to ask for.</param>
/// <param name="LeastWires">Fewest wires.</param>
/// <param name="MostWires">Most wires.</param>
/// <param name="MostCmil">Most copper in it, in circular mils of all wires; of ports, of the largest wire.</param>
public sealed record ConnectorType(string Id, string School, string Text, int LeastWires, int MostWires, int MostCmil);

/// <summary>The numbers of the counting.</summary>
/// <param name="LargestSplicedAwg">Larger wires of an appliance land on its terminals and are not spliced.</param>
/// <param name="StackedFrom">From so many cables in one hole of a plate they are held by supports.</param>
/// <param name="StrapEveryFt">Straps of conduit apart, in feet (352.30 for the small sizes).</param>
/// <param name="ServiceFeet">Length assumed of the service conductors, in feet.</param>
/// <param name="RodFeet">Length assumed of the conductor to the rods, in feet.</param>
/// <param name="PipeFeet">Length assumed of the conductor to the water pipe, in feet.</param>
/// <param name="Rods">Rods, where no other electrode is known to serve.</param>
/// <param name="StickFeet">Length of a stick of conduit, in feet.</param>
/// <param name="AdaptersPerRun">Terminal adapters of a run of conduit.</param>
/// <param name="BodiesPerWall">Conduit bodies where a run of conduit turns into the wall of a building.</param>
public sealed record CountRules(
    int LargestSplicedAwg,
    int StackedFrom,
    int StrapEveryFt,
    int ServiceFeet,
    int RodFeet,
    int PipeFeet,
    int Rods,
    int StickFeet,
    int AdaptersPerRun,
    int BodiesPerWall
);

/// <summary>Something that takes time.</summary>
/// <param name="Id">Its key.</param>
/// <param name="Text">In words.</param>
/// <param name="Minutes">Minutes of one person, to begin with; a practice figure that anyone may change.</param>
/// <param name="Stage">When it is done.</param>
/// <param name="Tools">What is needed for it beside material.</param>
public sealed record LabourTask(string Id, string Text, double Minutes, BuyStage Stage, ImmutableArray<string> Tools);
