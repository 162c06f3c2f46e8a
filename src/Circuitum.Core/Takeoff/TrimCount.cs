using System.Text.Json;
using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Protection;

namespace Circuitum.Core.Takeoff;

/// <summary>Counts what goes into and over boxes after the walls are painted.</summary>
internal static class TrimCount
{
    // A box for a range or a dryer takes a receptacle of this rating or more, with a plate of its own.
    private const int LargeRating = 30;

    internal static void Count(JobAnalysis a, Tally t)
    {
        foreach (var box in a.Job.Decisions.Boxes)
        {
            var (spec, at) = (a.Specs[box.Id], t.At(box));
            switch (box.Kind)
            {
                case BoxKind.Receptacle:
                    Receptacles(a, box, spec, at);
                    break;
                case BoxKind.Switch:
                    foreach (var (ways, control) in spec.Ways.Zip(box.Gangs, (w, g) => (w, g.Control)))
                        Switch(at, ways, control);

                    Plate(a.Job, at, spec.Gangs, "switch", a.Job.KindAt(box).OpenAir());
                    break;
                case BoxKind.Light:
                    at.Add(
                        "fixture",
                        1,
                        $"{box.Fixture ?? LightStyle.Surface}".ToLowerInvariant(),
                        box.Fixture is null or LightStyle.Surface ? "light on the surface" : spec.Device
                    );
                    at.Work(box.Fixture == LightStyle.Fan ? "fan" : "light");
                    break;
                case BoxKind.SmokeAlarm:
                    at.Add("alarm", 1, box.CarbonMonoxide ? "smoke-co" : "smoke", spec.Device);
                    at.Work("trim-alarm");
                    break;
                case BoxKind.Provision:
                    at.Add("plate", 1, "1.blank", "blank plate");
                    break;
                case BoxKind.Disconnect:
                    var cutoff = string.Join(", ", BoxSpecs.CutoffParts(a.Job, box, a.CircuitOf(box.Id)));
                    at.Add("cutoff", 1, MaterialItem.KeyOf(cutoff), cutoff);
                    at.Work("trim-cutoff");
                    if (spec.Gangs > 0)
                        Plate(a.Job, at, spec.Gangs, "switch", a.Job.KindAt(box).OpenAir());
                    break;
                default:
                    Appliance(a, box, spec, at);
                    break;
            }
        }
    }

    private static void Switch(TallyPlace at, int ways, SwitchControl control)
    {
        if (control == SwitchControl.Toggle)
        {
            at.Add("switch", 1, $"{ways}-way", $"{BoxSpecs.SwitchWord(ways)} switch");
            at.Work(ways == 1 ? "trim-switch" : "trim-three-way");
            return;
        }

        at.Add(
            "switch",
            1,
            MaterialItem.KeyOf(JsonNamingPolicy.KebabCaseLower.ConvertName($"{control}"), $"{ways}-way"),
            BoxSpecs.SwitchWord(ways, control)
        );
        at.Work("trim-control");
    }

    private static void Receptacles(JobAnalysis a, Box box, BoxSpec spec, TallyPlace at)
    {
        var circuit = a.CircuitOf(box.Id);
        var (device, split) = (circuit?.Protection.In(box.Id), circuit?.Load.Split == true);
        var devices = box.Style == ReceptacleStyle.Quad ? 2 : 1;
        for (var i = 0; i < devices; i++)
            Device(
                at,
                spec,
                box.Style == ReceptacleStyle.Single ? "single"
                    : split ? "split"
                    : "duplex",
                i == 0 ? device : null
            );
        if (spec.Weather != WeatherNeed.None)
        {
            var wet = spec.Weather == WeatherNeed.Wet;
            at.Add("cover", 1, wet ? "in-use" : "damp", wet ? "in-use cover, extra duty" : "cover for damp places");
        }
        else
            Plate(a.Job, at, spec.Gangs, device is null ? "duplex" : "rectangular", false);
    }

    private static void Device(TallyPlace at, BoxSpec spec, string style, ProtectiveDevice? device)
    {
        var mark = device switch
        {
            { ArcFault: true, GroundFault: true } => ("af-gf", "arc-fault and ground-fault "),
            { ArcFault: true } => ("af", "arc-fault "),
            { } => ("gf", "ground-fault "),
            _ => ("", ""),
        };
        var weather = spec.Weather != WeatherNeed.None;
        string[] words = [spec.TamperResistant ? "tamper-resistant" : "", weather ? "weather-resistant" : ""];
        at.Add(
            "receptacle",
            1,
            MaterialItem.KeyOf($"{spec.RatingA}", style, spec.TamperResistant ? "tr" : "", weather ? "wr" : "", mark.Item1),
            string.Join(", ", words.Where(w => w.Length > 0).Prepend($"{mark.Item2}{style} receptacle, {spec.RatingA} A"))
        );
        at.Work(device is null ? "trim-receptacle" : "trim-gfci");
    }

    private static void Appliance(JobAnalysis a, Box box, BoxSpec spec, TallyPlace at)
    {
        if (spec.RatingA == 0)
        {
            at.Work("connect");
            return;
        }

        var facts = a.Job.ApplianceById(box.Appliance) is { } appliance ? ApplianceFacts.Of(a.Job, appliance) : null;
        if (facts is not { Connection: Connection.TwoLines })
        {
            Device(at, spec, "single", a.CircuitOf(box.Id)?.Protection.In(box.Id));
            Plate(a.Job, at, spec.Gangs, "single", false);
            return;
        }

        var wires = facts.Neutral ? "four" : "three";
        at.Add("receptacle", 1, $"{spec.RatingA}.two-pole.{wires}", $"two-pole receptacle with {wires} wires, {spec.RatingA} A");
        at.Work("trim-receptacle");
        if (spec.RatingA >= LargeRating)
            at.Add("plate", 1, $"{spec.Gangs}.large", $"{Gangs(spec.Gangs)} plate for a {LargeRating} A to 50 A receptacle");
        else
            Plate(a.Job, at, spec.Gangs, "single", false);
    }

    private static void Plate(Job job, TallyPlace at, int gangs, string opening, bool openAir)
    {
        if (openAir)
        {
            at.Add("cover", 1, $"switch-{gangs}", $"{Gangs(gangs)} cover for a switch in wet places");
            return;
        }

        var of = opening != "single" && job.Preferences.DeviceFaces == DeviceFaces.Rectangular ? "rectangular" : opening;
        at.Add("plate", 1, $"{gangs}.{of}", $"{Gangs(gangs)} plate, {(of == "switch" ? "toggle" : of)} opening");
    }

    private static string Gangs(int gangs) =>
        gangs switch
        {
            1 => "one-gang",
            2 => "two-gang",
            3 => "three-gang",
            4 => "four-gang",
            _ => $"{gangs}-gang",
        };
}
