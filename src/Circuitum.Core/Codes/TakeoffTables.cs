using System.Collections.Immutable;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

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
    /// <summary>How a cable is sold.</summary>
    /// <param name="cable">Such as <c>12-2</c>.</param>
    public CoilRow CoilOf(string cable) => Coils.First(c => c.Cables.Contains(cable) || c.Cables.Contains("*"));

    /// <summary>The task with an id, as its minutes are kept.</summary>
    /// <exception cref="InvalidOperationException">There is none.</exception>
    public LabourTask Task(string id) => Labour.First(t => t.Id == id);

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
/// <param name="Metric">What is said otherwise, or sold otherwise, where lengths are metric; none where all is the same.</param>
public sealed record ItemType(
    string Id,
    string Group,
    string Text,
    ItemUnit Unit,
    BuyStage Stage,
    string Why,
    Pack? Pack = null,
    MetricItem? Metric = null
)
{
    /// <summary>The item as it is asked for in a house of these units.</summary>
    public ItemType In(LengthUnits units) =>
        units == LengthUnits.FeetInches
            ? this
            : this with
            {
                Unit = Unit == ItemUnit.Feet ? ItemUnit.Metres : Unit,
                Text = Metric?.Text ?? Text,
                Why = Metric?.Why ?? Why,
                Pack = Metric?.Pack ?? Pack,
                Metric = null,
            };
}

/// <summary>How an item is asked for and sold where lengths are metric.</summary>
/// <param name="Text">What to ask for, or none for the same.</param>
/// <param name="Why">How it is counted, or none for the same.</param>
/// <param name="Pack">How it is sold, or none for the same.</param>
public sealed record MetricItem(string? Text = null, string? Why = null, Pack? Pack = null);

/// <summary>What a quantity is in.</summary>
public enum ItemUnit
{
    /// <summary>Pieces.</summary>
    Each,

    /// <summary>Feet.</summary>
    Feet,

    /// <summary>Metres.</summary>
    Metres,
}

/// <summary>How a thing is sold.</summary>
/// <param name="Text">Such as <c>box</c>.</param>
/// <param name="Holds">How many are in it, or how many feet or metres.</param>
public sealed record Pack(string Text, int Holds);

/// <summary>The coils in which some cables are sold.</summary>
/// <param name="Cables">Such as <c>12-2</c>.</param>
/// <param name="Feet">Lengths, the usual one first.</param>
/// <param name="Small">Shorter ones, for what is left over; the shortest first.</param>
/// <param name="Metres">Lengths where they are sold by the metre, the usual one first.</param>
/// <param name="SmallMetres">Shorter ones there, the shortest first.</param>
public sealed record CoilRow(
    ImmutableArray<string> Cables,
    ImmutableArray<int> Feet,
    ImmutableArray<int> Small,
    ImmutableArray<int> Metres,
    ImmutableArray<int> SmallMetres
)
{
    /// <summary>The usual coil and the shorter ones, the shortest first, as they are sold in a house of these units.</summary>
    public (Length Usual, ImmutableArray<Length> Small) In(LengthUnits units) =>
        units == LengthUnits.FeetInches
            ? (Length.Feet(Feet[0]), [.. All(Small).Select(f => Length.Feet(f))])
            : (Length.Millimetres(Metres[0] * 1000L), [.. All(SmallMetres).Select(m => Length.Millimetres(m * 1000L))]);

    private static ImmutableArray<int> All(ImmutableArray<int> sizes) => sizes.IsDefault ? [] : sizes;
}

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
/// <param name="Metric">What a task by the foot is called by the metre; none for what is done piece by piece.</param>
public sealed record LabourTask(string Id, string Text, double Minutes, BuyStage Stage, ImmutableArray<string> Tools, string? Metric = null)
{
    /// <summary>The task as it is told in a house of these units: by the foot, or by the metre.</summary>
    public LabourTask In(LengthUnits units) =>
        ByTheMetre(units) && Metric is { } text ? this with { Text = text, Minutes = Told(Minutes, units), Metric = null } : this;

    /// <summary>Minutes as they are told, from minutes as they are kept: a figure of a length is kept by the foot.</summary>
    public double Told(double kept, LengthUnits units) => ByTheMetre(units) ? kept / LengthText.MetresInFoot : kept;

    /// <summary>Minutes as they are kept, from minutes as they are told.</summary>
    public double Kept(double told, LengthUnits units) => ByTheMetre(units) ? told * LengthText.MetresInFoot : told;

    private bool ByTheMetre(LengthUnits units) => Metric is not null && units != LengthUnits.FeetInches;
}
