using System.Globalization;
using Circuitum.Core.Commands;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Web.Work;

/// <summary>Turns a posted form into a command, or into a sentence that names the field.</summary>
public sealed partial class EditForm(IFormCollection form)
{
    private string problem = "";

    /// <summary>The command, or none with the problem.</summary>
    public (JobCommand? Command, string Problem) Read()
    {
        var command = Make();
        return problem.Length > 0 ? (null, problem) : (command, command is null ? "That is not something this page can do." : "");
    }

    /// <summary>A field's text, cut to what any field may hold.</summary>
    public string Text(string name)
    {
        var text = form[name].ToString();
        return text.Length > 400 ? text[..400] : text;
    }

    private JobCommand? Make() => Text("do") switch
    {
        "propose-boxes" => new ProposeBoxes(Optional("room")),
        "plan-circuits" => new PlanCircuits(false),
        "plan-afresh" => new PlanCircuits(true),
        "lay-out-panel" => new LayOutPanel(),
        "move-box" => Text("x").Length > 0
            ? new MoveBox(Text("box"), null, null, new Point(Inches("x"), Inches("y")))
            : new MoveBox(Text("box"), Number("wall", "Wall"), Length("along", "Distance"), null),
        "add-box" => new AddBox(Word<BoxKind>("kind", "Kind"), Text("room"), Number("wall", "Wall"), Text("along").Length > 0 ? Length("along", "Distance") : Core.Measure.Length.Zero, null),
        "add-box-here" => new AddBoxHere(Word<BoxKind>("kind", "Kind"), Text("storey"), new Point(Inches("x"), Inches("y"))),
        "remove-box" => new RemoveBox(Text("box")),
        "accept-box" => new AcceptBox(Text("box")),
        "accept-boxes" => new AcceptBoxes(Optional("room")),
        "edit-box" => EditBox(),
        "set-box" => SetBox(Text("field"), Text("value")),
        "hold-box" => new HoldBox(Text("box"), new HeldFor { WaitsFor = Text("waits").Trim(), Ask = Text("ask").Trim(), Slack = Length("slack", "Slack") }),
        "release-box" => new HoldBox(Text("box"), null),
        "room-reach" => RoomReach(),
        "add-switch" => new AddSwitch(Text("room"), Text("opening")),
        "assign-box" => new AssignBox(Text("box"), Text("circuit") == "new" ? null : Number("circuit", "Circuit")),
        "remove-circuit" => new RemoveCircuit(Number("circuit", "Circuit") ?? 0),
        "lock-circuit" => new LockCircuit(Number("circuit", "Circuit") ?? 0, Text("locked") == "yes"),
        "merge-circuits" => new MergeCircuits(Number("circuit", "Circuit") ?? 0, Number("into", "Circuit") ?? 0),
        "take-plan" => new TakePlan(Text("aim")),
        "edit-circuit" => new EditCircuit(Number("circuit", "Circuit") ?? 0, Optional("label"), Number("breaker", "Breaker"), Text("protection").Length == 0 ? null : Word<ProtectionPlace>("protection", "Protection")),
        "move-breaker" => new MoveBreaker(Number("circuit", "Circuit") ?? 0, Number("space", "Space") ?? 0),
        "add-room" => AddRoom(),
        "edit-room" => new EditRoom(Text("room"), Text("name"), Word<RoomKind>("kind", "Kind"), Length("ceiling", "Ceiling")),
        "remove-room" => new RemoveRoom(Text("room")),
        "add-storey" => new AddStorey(Text("name"), Signed("floor", "Floor height")),
        "put" => new PutOnWall(Text("what"), Text("room"), Number("wall", "Wall") ?? 0, Length("from", "From"), Text("what") == "panel" ? Core.Measure.Length.Zero : Length("width", "Width"), Text("to").Length == 0 ? Opening.Outside : Text("to"), Text("hinge") == "finish"),
        "remove-thing" => new RemoveThing(Text("thing")),
        "nameplate" => new SetNameplate(Text("appliance"), new Nameplate { Volts = Number("volts", "Volts"), VoltAmperes = Decimal("va", "Load"), Amperes = Decimal("amps", "Rated current"), Continuous = YesNo("continuous"), OwnCircuit = YesNo("own"), MinimumCircuitAmpacity = Decimal("mca", "Minimum circuit ampacity"), MaximumBreaker = Number("most", "Maximum breaker"), Hardwired = YesNo("hardwired"), Confirmed = Text("confirmed") == "on" }, Text("name")),
        "edit-job" => EditJob(),
        "edit-panel" => EditPanel(),
        _ => MakePlan(),
    };

    private AddRoom? AddRoom()
    {
        if (Size(Text("size")) is not { } size) return null;
        return new(Text("name"), Word<RoomKind>("kind", "Kind"), Text("storey"), size.Width, size.Depth, Optional("beside"), Word<Side>("side", "Side"), Text("ceiling").Length > 0 ? Length("ceiling", "Ceiling") : Core.Measure.Length.Feet(8));
    }

    private EditJob EditJob()
    {
        var (name, place) = (Text("name"), Text("place"));
        DateOnly? permit = null;
        if (Text("permit") is { Length: > 0 } date)
        {
            if (DateOnly.TryParseExact(date, "yyyy-MM-dd", CultureInfo.InvariantCulture, DateTimeStyles.None, out var day)) permit = day;
            else problem = "Permit date: type it as year-month-day, such as 2026-10-05.";
        }

        var front = Word<Side>("front", "Front");
        var under = Word<Under>("under", "Under the floor");
        var wire = Word<GeneralWire>("generalWire", "General wire");
        var lights = Word<LightsAndReceptacles>("lights", "Lights and receptacles");
        var ground = Word<ProtectionPlace>("groundFault", "Ground-fault protection");
        var method = Word<ServiceMethod>("method", "Service method");
        var order = Word<PanelOrder>("order", "Panel order");
        var run = Word<RunBy>("run", "Run cable by");
        var edition = Text("edition");
        var reach = OptionalLength("reach", "Receptacle reach");
        var switchReach = Length("switchReach", "Switch reach");
        var ceilings = Word<CeilingLights>("ceilings", "Ceiling lights");
        var spacing = Length("spacing", "Recessed lights apart");
        var bottom = Length("bottom", "Bottom of receptacles");
        var switches = Length("switches", "Switch height");
        var counters = Length("counters", "Counter receptacles");
        var rooms = Number("rooms", "Rooms on a circuit") ?? 2;
        var per20 = Number("per20", "Receptacles on 20 A") ?? 13;
        var spare = Number("spare", "Spare spaces") ?? 20;
        return new(job => job with
        {
            Name = name,
            Place = place,
            PermitDate = permit,
            CodeEdition = edition,
            Frame = job.Frame with { Front = front, Under = under },
            Preferences = job.Preferences with { GeneralWire = wire, LightsAndReceptacles = lights, GroundFault = ground, ServiceMethod = method, PanelOrder = order, RunBy = run, RoomsPerCircuit = rooms, ReceptaclesPer20 = per20, SparePercent = spare, ReceptacleReach = reach, SwitchReach = switchReach, CeilingLights = ceilings, RecessedSpacing = spacing, ReceptacleBottom = bottom, SwitchCentre = switches, CounterCentre = counters },
        }, "edit the job");
    }

    private EditJob EditPanel()
    {
        var main = Number("main", "Main breaker") ?? 200;
        var spaces = Number("spaces", "Spaces") ?? 40;
        var (name, family, top) = (Text("name"), Text("family"), Length("top", "Top"));
        return new(job => Core.Planner.PlanSpaces(job with
        {
            Panels = [.. job.Panels.Select(p => p with { MainBreaker = main, Spaces = spaces, Name = name, BreakerFamily = family, Top = top })],
            Decisions = job.Decisions with { Spaces = [.. job.Decisions.Spaces.Where(s => s.Space <= spaces)] },
        }), "edit the panel");
    }

    private bool? YesNo(string name) => Text(name) switch { "yes" => true, "no" => false, _ => null };

    private string? Optional(string name) => Text(name) is { Length: > 0 } text ? text : null;

    private Length Length(string name, string label) => Parse(Text(name), label);

    private Length Parse(string text, string label)
    {
        if (LengthText.TryParse(text, out var length, out var why)) return length;
        problem = $"{label}: {why}";
        return default;
    }

    private Length Inches(string name) => Core.Measure.Length.Inches(Math.Clamp(Decimal(name, "Place") ?? 0, -12_000, 12_000));

    private double? Decimal(string name, string label)
    {
        if (Text(name) is not { Length: > 0 } text) return null;
        if (double.TryParse(text, NumberStyles.Float, CultureInfo.InvariantCulture, out var value) && double.IsFinite(value)) return value;
        problem = $"{label}: type a number.";
        return null;
    }

    private int? Number(string name, string label)
    {
        if (Text(name) is not { Length: > 0 } text) return null;
        if (int.TryParse(text, NumberStyles.AllowLeadingSign, CultureInfo.InvariantCulture, out var value)) return value;
        problem = $"{label}: type a whole number.";
        return null;
    }

    private T Word<T>(string name, string label)
        where T : struct, Enum
    {
        if (!int.TryParse(Text(name), out _) && Enum.TryParse<T>(Text(name), true, out var value)) return value;
        problem = $"{label}: choose one of the list.";
        return default;
    }
}
