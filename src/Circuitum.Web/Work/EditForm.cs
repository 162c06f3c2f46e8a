using System.Collections.Immutable;
using System.Globalization;
using Circuitum.Core.Commands;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Panels;

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

    private JobCommand? Make() =>
        Text("do") switch
        {
            "propose-boxes" => new ProposeBoxes(Optional("room")),
            "plan-circuits" => new PlanCircuits(false),
            "plan-afresh" => new PlanCircuits(true),
            "lay-out-panel" => new LayOutPanel(),
            "move-box" => Text("x").Length > 0
                ? new MoveBox(Text("box"), null, null, new Point(Inches("x"), Inches("y")))
                : new MoveBox(Text("box"), Number("wall", "Wall"), Length("along", "Distance"), null) { FromLeft = Text("from") == "left" },
            "add-box" => new AddBox(
                Word<BoxKind>("kind", "Kind"),
                Text("room"),
                Number("wall", "Wall"),
                Text("along").Length > 0 ? Length("along", "Distance") : Core.Measure.Length.Zero,
                null
            )
            {
                Overhead = Text("wall") == "ceiling",
            },
            "add-box-here" => new AddBoxHere(Word<BoxKind>("kind", "Kind"), Text("storey"), new Point(Inches("x"), Inches("y"))),
            "remove-box" => new RemoveBox(Text("box")),
            "accept-box" => new AcceptBox(Text("box")),
            "accept-boxes" => new AcceptBoxes(Optional("room")),
            "edit-box" => EditBox(),
            "set-box" => SetBox(Text("field"), Text("value")),
            "hold-box" => new HoldBox(
                Text("box"),
                new HeldFor
                {
                    WaitsFor = Text("waits").Trim(),
                    Ask = Text("ask").Trim(),
                    Slack = Length("slack", "Slack"),
                }
            ),
            "release-box" => new HoldBox(Text("box"), null),
            "room-reach" => RoomReach(),
            "add-switch" => new AddSwitch(Text("room"), Text("opening")),
            "assign-box" => new AssignBox(Text("box"), Circuit()),
            "assign-boxes" => new AssignBoxes([.. Many("box")], Circuit()),
            "assign-room" => new AssignRoom(Text("room"), Circuit()),
            "split-circuit" => new SplitCircuit(Number("circuit", "Circuit") ?? 0, Optional("from")),
            "renumber" => new RenumberCircuits(),
            "line-side" => new FeedFromLine(Text("box"), Text("line") == "yes"),
            "force-first" => new ForceFirst(Number("circuit", "Circuit") ?? 0, Optional("box")),
            "lead-cable" => new LeadCable(
                Optional("from"),
                Text("to"),
                Text("storey"),
                Text("shortest") == "yes" ? null : new Point(Inches("x"), Inches("y"))
            ),
            "lead-over-room" => new LeadOverRoom(Optional("from"), Text("to"), Text("room")),
            "close-wall" => new CloseWall(Text("room"), Number("wall", "Wall") ?? 0, Text("closed") != "no"),
            "lock-run" => new LockRun(Number("circuit", "Circuit") ?? 0, Text("locked") != "no"),
            "outside-run" => OutsideRun(),
            "pulled" => new MarkPulled(Number("circuit", "Circuit") ?? 0, Text("pulled") != "no", OptionalLength("measured", "Length")),
            "take-part" => new TakePart(Text("aim"), Number("circuit", "Circuit") ?? 0),
            "remove-circuit" => new RemoveCircuit(Number("circuit", "Circuit") ?? 0),
            "lock-circuit" => new LockCircuit(Number("circuit", "Circuit") ?? 0, Text("locked") == "yes"),
            "merge-circuits" => new MergeCircuits(Number("circuit", "Circuit") ?? 0, Number("into", "Circuit") ?? 0),
            "take-plan" => new TakePlan(Text("aim")),
            "edit-circuit" => EditCircuit(),
            "pair-circuits" => new PairCircuits(
                Number("circuit", "Circuit") ?? 0,
                Number("with", "Circuit") ?? 0,
                Word<PairKind>("kind", "Kind")
            ),
            "unpair-circuits" => new UnpairCircuits(Number("circuit", "Circuit") ?? 0),
            "pin-rooms" => new PinRooms(Pin()),
            "unpin-rooms" => new UnpinRooms(Pin()),
            "move-breaker" => MoveBreaker(),
            "labels" => Labels(),
            "card-size" => CardSize(),
            "breaker-family" => new SetBreakerFamily(Number("circuit", "Circuit") ?? 0, Optional("family")),
            "move-to-panel" => new MoveToPanel(Number("circuit", "Circuit") ?? 0, Text("panel")),
            "remove-sub-panel" => new RemoveSubPanel(Text("panel")),
            "add-room" => AddRoom(),
            "edit-room" => new EditRoom(Text("room"), Text("name"), Word<RoomKind>("kind", "Kind"), Length("ceiling", "Ceiling")),
            "remove-room" => new RemoveRoom(Text("room")),
            "add-storey" => new AddStorey(Text("name"), Signed("floor", "Floor height")),
            "put" => new PutOnWall(
                Text("what"),
                Text("room"),
                Number("wall", "Wall") ?? 0,
                Length("from", "From"),
                Text("what") == "panel" ? Core.Measure.Length.Zero : Length("width", "Width"),
                Text("to"),
                Text("hinge") == "finish"
            ),
            "remove-thing" => new RemoveThing(Text("thing")),
            "nameplate" => new SetNameplate(
                Text("appliance"),
                new Nameplate
                {
                    Volts = Number("volts", "Volts"),
                    VoltAmperes = Decimal("va", "Load"),
                    Amperes = Decimal("amps", "Rated current"),
                    Continuous = YesNo("continuous"),
                    OwnCircuit = YesNo("own"),
                    MinimumCircuitAmpacity = Decimal("mca", "Minimum circuit ampacity"),
                    MaximumBreaker = Number("most", "Maximum breaker"),
                    Hardwired = YesNo("hardwired"),
                    Confirmed = Text("confirmed") == "on",
                },
                Text("name")
            ),
            "edit-job" => EditJob(),
            "edit-panel" => EditPanel(),
            _ => MakePlan(),
        };

    private RoomPin Pin() =>
        Word<PinKind>("pin", "Pin") is var kind && kind == PinKind.Alone
            ? new()
            {
                Of = Word<CircuitPurpose>("of", "Circuits"),
                Kind = kind,
                Room = Text("room"),
            }
            : new()
            {
                Of = Word<CircuitPurpose>("of", "Circuits"),
                Kind = kind,
                Room = Text("room"),
                Other = Text("other"),
            };

    // "new" is a new circuit; anything else must be a number, so that a slip of the hand makes none.
    private int? Circuit()
    {
        if (Text("circuit").Trim() == "new")
            return null;
        if (Number("circuit", "Circuit") is { } number)
            return number;
        if (problem.Length == 0)
            problem = "Circuit: type its number, or new.";
        return null;
    }

    private IEnumerable<string> Many(string name) =>
        form[name].Take(Core.Intake.JobRules.MostBoxes).Select(v => v is { Length: > 400 } ? v[..400] : v ?? "");

    private AddRoom? AddRoom()
    {
        if (Size(Text("size")) is not { } size)
            return null;
        return new(
            Text("name"),
            Word<RoomKind>("kind", "Kind"),
            Text("storey"),
            size.Width,
            size.Depth,
            Optional("beside"),
            Word<Side>("side", "Side"),
            Text("ceiling").Length > 0 ? Length("ceiling", "Ceiling") : Core.Measure.Length.Feet(8)
        );
    }

    private EditJob EditJob()
    {
        var (name, place) = (Text("name"), Text("place"));
        DateOnly? permit = null;
        if (Text("permit") is { Length: > 0 } date)
        {
            if (DateOnly.TryParseExact(date, "yyyy-MM-dd", CultureInfo.InvariantCulture, DateTimeStyles.None, out var day))
                permit = day;
            else
                problem = "Permit date: type it as year-month-day, such as 2026-10-05.";
        }

        var front = Word<Side>("front", "Front");
        var (under, later) = (Word<Under>("under", "Under the floor"), Text("later") == "on");
        var edition = Text("edition");
        var read = Preferences(new());
        return new(
            job =>
                job with
                {
                    Name = name,
                    Place = place,
                    PermitDate = permit,
                    CodeEdition = edition,
                    Frame = job.Frame with { Front = front, Under = under, FinishedLater = later },
                    Preferences = read is null ? job.Preferences : Preferences(job.Preferences) ?? job.Preferences,
                },
            "edit the job"
        );
    }

    /// <summary>Preferences with what the form has of them, or none with the problem when one is wrong.</summary>
    /// <param name="from">Keep what the form says nothing about.</param>
    public (Preferences? Preferences, string Problem) ReadPreferences(Preferences from) => (Preferences(from), problem);

    private Preferences? Preferences(Preferences from)
    {
        foreach (var field in PreferenceFields.All.Where(f => form.ContainsKey($"pref.{f.Key}")))
        {
            var (written, wrong) = field.Write(from, Text($"pref.{field.Key}").Trim());
            if (written is null)
            {
                problem = wrong;
                return null;
            }

            from = written;
        }

        return from;
    }

    private EditCircuit EditCircuit()
    {
        var own = PreferenceFields
            .All.Where(f => f.PerCircuit && Text($"own.{f.Key}").Trim().Length > 0)
            .ToImmutableSortedDictionary(f => f.Key, f => Text($"own.{f.Key}").Trim());
        foreach (var (key, value) in own)
        {
            if (PreferenceFields.Find(key)!.Write(new(), value).Problem is { Length: > 0 } wrong)
                problem = wrong;
        }

        return new(
            Number("circuit", "Circuit") ?? 0,
            Optional("label"),
            Number("breaker", "Breaker"),
            Text("protection").Length == 0 ? null : Word<ProtectionPlace>("protection", "Protection"),
            own
        );
    }

    private MoveBreaker? MoveBreaker()
    {
        if (SpacePlan.TryRead(Text("space"), out var at))
            return new(Number("circuit", "Circuit") ?? 0, at.Space, Optional("panel"), Optional("feeds"), at.Half);
        problem = "Space: type its number, or for half of a space with a tandem its number with A or B, such as 13B.";
        return null;
    }

    private SetLabels Labels()
    {
        const string Prefix = "label.";
        var labels = ImmutableSortedDictionary.CreateBuilder<int, string>();
        foreach (var key in form.Keys.Where(k => k.StartsWith(Prefix, StringComparison.Ordinal)).Take(Core.Intake.JobRules.MostCircuits))
        {
            if (int.TryParse(key[Prefix.Length..], NumberStyles.None, CultureInfo.InvariantCulture, out var number))
                labels[number] = Text(key);
        }

        return new(labels.ToImmutable());
    }

    private EditPanel CardSize()
    {
        var (wide, tall) = (Length("wide", "Width"), Length("tall", "Height"));
        return new(Text("panel"), p => p with { CardWide = wide, CardTall = tall });
    }

    private EditPanel EditPanel()
    {
        var main = Number("main", "Main breaker") ?? 200;
        var spaces = Number("spaces", "Spaces") ?? 40;
        var (name, family, top) = (Text("name"), Text("family"), Length("top", "Top"));
        var (feeder, from) = (Number("feeder", "Feeder's breaker"), Optional("from"));
        var method = Text("method").Length > 0 ? Word<FeederMethod>("method", "Feeder") : FeederMethod.Cable;
        var (aluminum, lugs) = (Text("aluminum") == "on", Text("lugs") == "on");
        ImmutableArray<string> also = [.. Text("also").Split(',', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries)];
        if (!SpaceList.TryRead(Text("tandems"), out var tandems, out var wrong))
            problem = $"Tandems: {wrong}";
        return new(Text("panel"), p =>
            p with
            {
                MainBreaker = main,
                Spaces = spaces,
                Name = name,
                BreakerFamily = family,
                Top = top,
                AlsoTakes = also,
                TandemSpaces = tandems,
                FedFrom = p.FedFrom is null ? null : from ?? p.FedFrom,
                FeederBreaker = feeder,
                FeederMethod = method,
                AluminumFeeder = aluminum,
                MainLugs = lugs,
            }
        );
    }

    private bool? YesNo(string name) =>
        Text(name) switch
        {
            "yes" => true,
            "no" => false,
            _ => null,
        };

    private string? Optional(string name) => Text(name) is { Length: > 0 } text ? text : null;

    private Length Length(string name, string label) => Parse(Text(name), label);

    private Length Parse(string text, string label)
    {
        if (LengthText.TryParse(text, out var length, out var why))
            return length;
        problem = $"{label}: {why}";
        return default;
    }

    private Length Inches(string name) => Core.Measure.Length.Inches(Math.Clamp(Decimal(name, "Place") ?? 0, -12_000, 12_000));

    private double? Decimal(string name, string label)
    {
        if (Text(name) is not { Length: > 0 } text)
            return null;
        if (double.TryParse(text, NumberStyles.Float, CultureInfo.InvariantCulture, out var value) && double.IsFinite(value))
            return value;
        problem = $"{label}: type a number.";
        return null;
    }

    private int? Number(string name, string label)
    {
        if (Text(name) is not { Length: > 0 } text)
            return null;
        if (int.TryParse(text, NumberStyles.AllowLeadingSign, CultureInfo.InvariantCulture, out var value))
            return value;
        problem = $"{label}: type a whole number.";
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
