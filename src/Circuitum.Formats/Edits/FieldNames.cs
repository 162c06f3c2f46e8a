namespace Circuitum.Formats.Edits;

/// <summary>How fields are named: in forms, where it is not the name of the value, and in sentences.</summary>
internal static class FieldNames
{
    // By type and value: what a form calls it.
    private static readonly Dictionary<string, string> Own = new()
    {
        ["AddRoom.On"] = "side",
        ["AssignBoxes.Boxes"] = "box",
        ["BoxChange.CarbonMonoxide"] = "co",
        ["BoxChange.VoltAmperes"] = "va",
        ["EditJob.CodeEdition"] = "edition",
        ["EditJob.FinishedLater"] = "later",
        ["EditJob.PermitDate"] = "permit",
        ["EditRoomBuild.Ceiling"] = "shape",
        ["EditRoomBuild.ShelfDepth"] = "shelf",
        ["EditRooms.Rooms"] = "room",
        ["FeedFromLine.LineSide"] = "line",
        ["HeldFor.WaitsFor"] = "waits",
        ["MergeCircuits.From"] = "circuit",
        ["Nameplate.Amperes"] = "amps",
        ["Nameplate.MaximumBreaker"] = "most",
        ["Nameplate.MinimumCircuitAmpacity"] = "mca",
        ["Nameplate.OwnCircuit"] = "own",
        ["Nameplate.VoltAmperes"] = "va",
        ["PairCircuits.First"] = "circuit",
        ["PairCircuits.Second"] = "with",
        ["PanelChange.AlsoTakes"] = "also",
        ["PanelChange.AluminumFeeder"] = "aluminum",
        ["PanelChange.BreakerFamily"] = "family",
        ["PanelChange.CardTall"] = "tall",
        ["PanelChange.CardWide"] = "wide",
        ["PanelChange.FedFrom"] = "from",
        ["PanelChange.FeederBreaker"] = "feeder",
        ["PanelChange.FeederMethod"] = "method",
        ["PanelChange.MainBreaker"] = "main",
        ["PanelChange.MainLugs"] = "lugs",
        ["PanelChange.TandemSpaces"] = "tandems",
        ["RoomPin.Kind"] = "pin",
        ["WallFact.DataCable"] = "data",
        ["WallFact.NoCable"] = "nocable",
        ["WallFact.StudSpacing"] = "studs",
    };

    // By the form's name: what a sentence calls it, where it is not the name in words.
    private static readonly Dictionary<string, string> Said = new()
    {
        ["along"] = "Distance",
        ["amps"] = "Rated current",
        ["ax"] = "First point",
        ["ay"] = "First point",
        ["build"] = "Built of",
        ["bx"] = "Second point",
        ["by"] = "Move by",
        ["circuit"] = "Circuit",
        ["feeder"] = "Feeder's breaker",
        ["fixture"] = "Light",
        ["floor"] = "Floor height",
        ["from"] = "From the corner",
        ["how"] = "Turn",
        ["into"] = "Circuit",
        ["main"] = "Main breaker",
        ["mca"] = "Minimum circuit ampacity",
        ["measured"] = "Length",
        ["method"] = "Method",
        ["most"] = "Maximum breaker",
        ["of"] = "Circuits",
        ["phase"] = "Stage",
        ["reach"] = "Receptacle reach",
        ["shape"] = "Ceiling",
        ["shelf"] = "Shelf depth",
        ["studs"] = "Stud spacing",
        ["style"] = "Receptacle",
        ["tall"] = "Height",
        ["under"] = "Under the floor",
        ["units"] = "Lengths",
        ["va"] = "Load",
        ["wide"] = "Width",
        ["with"] = "Circuit",
        ["x"] = "Place",
        ["y"] = "Place",
    };

    internal static string Of(Type owner, string value) =>
        Own.GetValueOrDefault($"{owner.Name}.{value}") ?? char.ToLowerInvariant(value[0]) + value[1..];

    internal static string Label(string field) =>
        Said.GetValueOrDefault(field)
        ?? string.Concat(
            field.Select(
                (c, i) =>
                    i == 0 ? $"{char.ToUpperInvariant(c)}"
                    : char.IsUpper(c) ? $" {char.ToLowerInvariant(c)}"
                    : $"{c}"
            )
        );
}
