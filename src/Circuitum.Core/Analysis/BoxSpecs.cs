using System.Collections.Immutable;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Sizing;

namespace Circuitum.Core.Analysis;

/// <summary>Works out the specs of all boxes.</summary>
internal static class BoxSpecs
{
    private static readonly int[] Ratings = [15, 20, 30, 50];

    internal static ImmutableDictionary<string, BoxSpec> Of(
        HouseShape house,
        CodeEdition edition,
        IReadOnlyDictionary<string, CircuitAnalysis> byBox
    )
    {
        // The switches of a light in the job's order: a three-way at either end, four-ways between.
        var places = house
            .Job.Decisions.Boxes.SelectMany(b => b.Gangs.Where(g => g.Lights.Length > 0).Select(g => (g.Lights[0], b.Id)))
            .ToLookup(p => p.Item1, p => p.Id);
        return house.Job.Decisions.Boxes.ToImmutableDictionary(
            b => b.Id,
            b => Of(house, edition, b, byBox.GetValueOrDefault(b.Id), [.. b.Gangs.Select(g => WaysOf(g, b.Id))])
        );

        int WaysOf(SwitchGang gang, string box)
        {
            if (gang.Lights.Length == 0)
                return 1;
            var all = places[gang.Lights[0]].ToList();
            return all.Count < 2 ? 1
                : all[0] == box || all[^1] == box ? 3
                : 4;
        }
    }

    private static BoxSpec Of(HouseShape house, CodeEdition edition, Box box, CircuitAnalysis? circuit, ImmutableArray<int> ways)
    {
        var job = house.Job;
        if (edition.Board is not null)
            return OnBoard(house, edition, box, circuit, ways);
        var gangs = BoxHardware.Gangs(job, box);
        var facts = job.ApplianceById(box.Appliance) is { } a ? ApplianceFacts.Of(job, a) : null;
        var fan = BoxHardware.NeedsFanBox(house, edition, box);
        var use =
            gangs > 0 ? "device"
            : fan ? "fan"
            : "fixture";

        // Hardwired equipment, and a recessed light with its own junction box, need none of ours.
        // What hardwired equipment is fed through has a disconnect before it, or a box or fitting at it.
        var cutoff = job.ApplianceById(box.Serves) is { } served ? ApplianceFacts.Of(job, served).Cutoff : Cutoff.None;
        var own = cutoff == Cutoff.Sight || box.Fixture == LightStyle.Recessed;
        var contents = circuit?.Wire is null ? null : BoxCables.Contents(job, circuit, box, facts is { Connection: Connection.TwoLines });

        // Boxes differ by their clamps alone in what must go into them; many sizes are tried.
        BoxFill?[] fills = [null, null];
        BoxFill? Fill(bool clamps) =>
            contents is null ? null : fills[clamps ? 1 : 0] ??= BoxFill.Of(contents with { Clamps = clamps }, edition, job.Units);
        var steel =
            use != "fan"
            && box is { Wall: { } stands, Outside: false }
            && WallBody.Of(house, house[box.Room], stands).Build == WallBuild.MetalStud;
        var entry =
            own ? null
            : box.Size is { } size ? CodeLibrary.Boxes[size]
            : BoxFill.Smallest(use, gangs, c => Fill(c)?.Inches3 ?? 0, job.Preferences.BoxReservePercent / 100.0, steel)
                ?? CodeLibrary.Boxes.Values.Where(b => b.Use == use && b.Gangs == gangs && b.Bracket == steel).MaxBy(b => b.Volume);
        var (rating, fault) = Rating(box, facts, circuit, edition.Ways.Receptacles == ReceptacleWay.AsBreaker);
        var tamper = BoxHardware.TamperResistant(edition, box);
        var weather = rating > 0 ? BoxHardware.Weather(job, box) : WeatherNeed.None;
        return new()
        {
            Gangs = gangs,
            Entry = entry?.In(job.Units),
            Units = job.Units,
            Fill = own || entry is null ? null : Fill(entry.Clamps),
            Cables = circuit is null ? [] : BoxCables.In(circuit, box.Id),
            RatingA = rating,
            RatingFault = fault,
            TamperResistant = tamper,
            Weather = weather,
            FanRated = fan,
            Stud = BoxHardware.StudOf(house, box),
            Ways = ways,
            Switches = [.. ways.Select((w, i) => SwitchWord(w, box.Gangs[i].Control))],
            Mark = BoxHardware.Mark(house, box, ways) + (circuit is null ? "" : $" #{circuit.Number}{Colour(job.Preferences, circuit)}"),
            Device = DeviceOf(job, box, facts, circuit, ways, rating, tamper, weather),
        };
    }

    // What a point of a split board is: its box is by the maker's plate, so neither its room nor a stud is asked for.
    private static BoxSpec OnBoard(HouseShape house, CodeEdition edition, Box box, CircuitAnalysis? circuit, ImmutableArray<int> ways)
    {
        var job = house.Job;
        string NameOf(string? id) => job.ApplianceById(id) is { } x ? ApplianceFacts.Of(job, x).Name : "an appliance";
        var (rating, amperes) = (box.Rating ?? OrdinaryPlug, circuit?.Breaker ?? 0);
        ImmutableArray<string> switches = [.. ways.Select((w, i) => SwitchWord(w, box.Gangs[i].Control))];
        return new()
        {
            Gangs = BoxHardware.Gangs(job, box),
            Cables = circuit is null ? [] : BoxCables.In(circuit, box.Id),
            RatingA = box.Kind == BoxKind.Receptacle ? rating : 0,
            Ways = ways,
            Switches = switches,
            Mark = BoxHardware.Mark(house, box, ways) + (circuit is null ? "" : $" #{circuit.Number}"),
            Device = box.Kind switch
            {
                BoxKind.Receptacle =>
                    $"{edition.Word(box.Style switch
                {
                    ReceptacleStyle.Single => "single receptacle",
                    ReceptacleStyle.Quad => "two duplex receptacles",
                    _ => "duplex receptacle",
                })}, {rating} A, {BoardConduit.Box(job.Preferences)}",
                BoxKind.Appliance => $"connection of {NameOf(box.Appliance)}",
                BoxKind.Disconnect =>
                    $"{edition.Word("disconnect")} for {NameOf(box.Serves)}, all poles{(amperes > 0 ? $", {amperes} A" : "")}",
                BoxKind.Switch => $"{string.Join(", ", switches)}, {BoardConduit.Box(job.Preferences)}",
                BoxKind.SmokeAlarm => "alarm",
                _ => edition.Word("light"),
            },
        };
    }

    // In amperes.
    private const int OrdinaryPlug = 13;

    // Some mark each box by the size of its breaker, so that nobody puts small wire on a large one.
    private static string Colour(Preferences p, CircuitAnalysis circuit) =>
        (circuit.Breaker <= 15 ? p.Mark15 : p.MarkLarger) is { Length: > 0 } mark && circuit.Breaker > 0 ? $" {mark}" : "";

    // 210.21(B): alone on its circuit a single one is rated as the circuit; several may be 15 A on a 20 A circuit, not 20 A on 15.
    private static (int Rating, string? Fault) Rating(Box box, ApplianceFacts? facts, CircuitAnalysis? circuit, bool asBreaker)
    {
        if (box.Kind is not (BoxKind.Receptacle or BoxKind.Appliance) || facts is { Hardwired: true })
            return (0, null);
        var breaker = circuit?.Breaker ?? 0;
        var single = facts is not null || box.Style == ReceptacleStyle.Single;
        var alone = single && circuit is not null && circuit.Boxes.Count(b => b.Kind is BoxKind.Receptacle or BoxKind.Appliance) == 1;
        var fits = alone || asBreaker || breaker > 20 ? Ratings.FirstOrDefault(r => r >= breaker, 50) : 15;
        if (box.Rating is not { } chosen || breaker == 0)
            return (box.Rating ?? fits, null);
        var right = alone
            ? chosen >= breaker
            : breaker switch
            {
                15 => chosen == 15,
                20 => chosen == 20 || (chosen == 15 && !asBreaker),
                30 => chosen == 30,
                40 or 50 => chosen == 50,
                _ => chosen >= breaker,
            };
        return (chosen, right ? null : $"is rated {chosen} A on a {breaker} A circuit{(alone ? ", alone on it" : "")}");
    }

    /// <summary>What a switch of so many ways is called.</summary>
    internal static string SwitchWord(int ways, SwitchControl control = SwitchControl.Toggle)
    {
        var word = ways switch
        {
            1 => "single pole",
            3 => "three-way",
            _ => "four-way",
        };
        return control switch
        {
            SwitchControl.Toggle => word,
            SwitchControl.Dimmer => $"{word} dimmer",
            SwitchControl.FanSpeed => $"{word} fan control",
            SwitchControl.Timer => $"{word} timer",
            SwitchControl.Humidity => $"{word} humidity control",
            SwitchControl.Cord => $"{word} switch on a cord",
            _ => $"{word} motion switch",
        };
    }

    // What to buy: a pull-out or a switch that carries the circuit, a snap switch with its service switch's red plate, a control.
    private static string CutoffOf(Job job, Box box, CircuitAnalysis? circuit) =>
        job.ApplianceById(box.Serves) is { } appliance
            ? string.Join(
                ", ",
                CutoffParts(job, box, circuit)
                    .Skip(1)
                    .Prepend($"{CutoffParts(job, box, circuit)[0]} for {ApplianceFacts.Of(job, appliance).Name}")
            )
            : "disconnect";

    /// <summary>What a disconnect, a service switch or a control has to be, part by part, whatever it cuts off.</summary>
    internal static ImmutableArray<string> CutoffParts(Job job, Box box, CircuitAnalysis? circuit)
    {
        if (job.ApplianceById(box.Serves) is not { } appliance)
            return ["disconnect"];
        var facts = ApplianceFacts.Of(job, appliance);
        var (poles, amps) = (
            facts.Connection == Connection.TwoLines ? "two-pole" : "one-pole",
            Disconnects.FirstOrDefault(d => d >= (circuit?.Breaker ?? 0), Disconnects[^1])
        );
        return facts.Cutoff switch
        {
            Cutoff.Sight => ["disconnect", poles, $"{amps} A{(job.KindAt(box).OpenAir() ? ", for wet places" : "")}"],
            Cutoff.Service => ["service switch", $"{Math.Max(20, circuit?.Breaker ?? 20)} A"],
            _ => [facts.Type.Heating ? "timer or switch" : "switch", $"{Math.Max(15, circuit?.Breaker ?? 20)} A"],
        };
    }

    private static readonly int[] Disconnects = [30, 60, 100, 200];

    private static string DeviceOf(
        Job job,
        Box box,
        ApplianceFacts? facts,
        CircuitAnalysis? circuit,
        ImmutableArray<int> ways,
        int rating,
        bool tamper,
        WeatherNeed weather
    )
    {
        var words = new List<string>();
        switch (box.Kind)
        {
            case BoxKind.Receptacle:
                words.Add(
                    box.Style switch
                    {
                        ReceptacleStyle.Single => "single receptacle",
                        _ when circuit?.Load.Split == true => "split receptacle, tab between its hot screws broken out",
                        ReceptacleStyle.Quad => "two duplex receptacles",
                        _ => "duplex receptacle",
                    }
                );
                if (circuit?.Protection.In(box.Id) is { } device)
                    words.Add(
                        device switch
                        {
                            { ArcFault: true, GroundFault: true } => "arc-fault and ground-fault",
                            { ArcFault: true } => "arc-fault",
                            _ => "ground-fault",
                        }
                    );
                break;
            case BoxKind.Switch:
                words.Add(string.Join(" + ", ways.Select((w, i) => SwitchWord(w, box.Gangs[i].Control)).DefaultIfEmpty("switch")));
                break;
            case BoxKind.Light:
                words.Add(
                    box.Fixture switch
                    {
                        LightStyle.Recessed => "recessed light",
                        LightStyle.Pendant => "pendant",
                        LightStyle.Vanity => "vanity light",
                        LightStyle.Wall => "wall light",
                        LightStyle.Fan => "fan",
                        _ => "fixture",
                    }
                );
                break;
            case BoxKind.SmokeAlarm:
                words.Add(box.CarbonMonoxide ? "smoke and carbon-monoxide alarm" : "smoke alarm");
                words.Add("interconnected");
                break;
            case BoxKind.Provision:
                words.Add("capped box for later");
                break;
            case BoxKind.Disconnect:
                words.Add(CutoffOf(job, box, circuit));
                break;
            default:
                words.Add(facts is { Hardwired: true } ? $"{facts.Name}, hardwired" : $"receptacle for {facts?.Name ?? "an appliance"}");
                break;
        }

        if (rating > 0)
            words.Add($"{rating} A");
        if (tamper)
            words.Add("tamper-resistant");
        if (weather != WeatherNeed.None)
            words.Add(weather == WeatherNeed.Wet ? "weather-resistant, in-use cover" : "weather-resistant, damp cover");
        return string.Join(", ", words);
    }
}
