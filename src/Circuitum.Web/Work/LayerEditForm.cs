using System.Collections.Immutable;
using System.Globalization;
using Circuitum.Core.Commands;
using Circuitum.Core.Jobs;

namespace Circuitum.Web.Work;

/// <summary>A posted form that edits amendment layers.</summary>
public sealed class LayerEditForm(IFormCollection form)
{
    // A note of an amendment is the longest thing that is typed.
    private const int LongestValue = 400;

    private string problem = "";

    /// <summary>The edit of amendment layers that the form asks for, or none with the problem.</summary>
    /// <param name="offered">Whole layers that can be taken, by their names.</param>
    public (LayerEdit? Edit, string Problem) Read(ImmutableArray<AmendmentLayer> offered)
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

    private string Text(string name) =>
        form[name].ToString() is { Length: > LongestValue } text ? text[..LongestValue] : form[name].ToString();

    private string? Optional(string name) => Text(name) is { Length: > 0 } text ? text : null;

    private int? Number(string name, string label)
    {
        if (Text(name) is not { Length: > 0 } text)
            return null;
        if (int.TryParse(text, NumberStyles.AllowLeadingSign, CultureInfo.InvariantCulture, out var value))
            return value;
        problem = $"{label}: type a whole number.";
        return null;
    }

    private double? Decimal(string name, string label)
    {
        if (Text(name) is not { Length: > 0 } text)
            return null;
        if (double.TryParse(text, NumberStyles.Float, CultureInfo.InvariantCulture, out var value) && double.IsFinite(value))
            return value;
        problem = $"{label}: type a number.";
        return null;
    }

    private T Word<T>(string name, string label)
        where T : struct, Enum
    {
        if (!int.TryParse(Text(name), out _) && Enum.TryParse<T>(Text(name), true, out var value))
            return value;
        problem = $"{label}: choose one of the list.";
        return default;
    }
}
