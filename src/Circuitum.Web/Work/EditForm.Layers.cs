using System.Collections.Immutable;
using Circuitum.Core.Commands;
using Circuitum.Core.Jobs;

namespace Circuitum.Web.Work;

/// <summary>The part of the form reader that edits amendment layers.</summary>
public sealed partial class EditForm
{
    /// <summary>The edit of amendment layers that the form asks for, or none with the problem.</summary>
    /// <param name="offered">Whole layers that can be taken, by their names.</param>
    public (LayerEdit? Edit, string Problem) Layer(ImmutableArray<AmendmentLayer> offered)
    {
        LayerEdit? edit = Text("do") switch
        {
            "add-layer" => new AddLayer(new AmendmentLayer { Name = Text("name").Trim(), Authority = Text("authority").Trim() }),
            "take-layer" => offered.FirstOrDefault(l => l.Name == Text("name")) is { } layer
                ? new AddLayer(layer with { On = true })
                : null,
            "edit-layer" => new EditLayer(Place("layer"), Text("name"), Text("authority"), Text("on") == "on"),
            "remove-layer" => new RemoveLayer(Place("layer")),
            "add-change" => new AddAmendment(Place("layer"), Change()),
            "remove-change" => new RemoveAmendment(Place("layer"), Place("change")),
            _ => null,
        };
        return problem.Length > 0 ? (null, problem) : (edit, edit is null ? "That is not something this page can do." : "");
    }

    private int Place(string name) => Number(name, "Place") ?? -1;

    private Amendment Change()
    {
        var kind = Word<AmendmentKind>("kind", "What it does");
        return new()
        {
            Kind = kind,
            Target = kind switch
            {
                AmendmentKind.Number => Text("number"),
                AmendmentKind.Add => "",
                _ => Text("rule"),
            },
            Value = kind == AmendmentKind.Number ? Decimal("value", "Value") : null,
            Severity = kind is AmendmentKind.Rule or AmendmentKind.Add ? Optional("severity") : null,
            Title = kind is AmendmentKind.Rule or AmendmentKind.Add ? Text("title").Trim() : "",
            Text = kind is AmendmentKind.Rule or AmendmentKind.Add ? Text("text").Trim() : "",
            Citation = Text("citation").Trim(),
            Note = Text("note").Trim(),
            Demand = kind == AmendmentKind.Add ? Demand() : null,
        };
    }

    private LocalDemand Demand()
    {
        var kind = Word<LocalDemandKind>("demand", "What is done about it");
        var byRoom = kind is LocalDemandKind.Boxes or LocalDemandKind.GroundFault or LocalDemandKind.ArcFault;
        return new()
        {
            Kind = kind,
            Room = byRoom ? Word<RoomKind>("room", "Kind of room") : null,
            Box = kind == LocalDemandKind.Boxes ? Word<BoxKind>("box", "Kind of box") : null,
            Least = kind == LocalDemandKind.Boxes ? Number("least", "How many") ?? 1 : 1,
            Appliance = kind == LocalDemandKind.OwnCircuit ? Text("appliance") : null,
        };
    }
}
