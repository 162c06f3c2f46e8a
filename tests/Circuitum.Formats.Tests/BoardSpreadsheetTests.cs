using System.Globalization;
using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Planning;

namespace Circuitum.Formats.Tests;

/// <summary>
/// Circuits of split boards, what their lines carry and the demand of a villa, worked out once more by a spreadsheet program from tables
/// and formulas that are written here without the program's help.
/// </summary>
public class BoardSpreadsheetTests
{
    private static readonly string[] Sections = ["1.5", "2.5", "4", "6", "10", "16", "25", "35", "50", "70"];
    private static readonly double[] Single = [17.5, 24, 32, 41, 57, 76, 101, 125, 151, 192];
    private static readonly double[] Three = [15.5, 21, 28, 36, 50, 68, 89, 110, 134, 171];
    private static readonly double[] SingleMv = [29, 18, 11, 7.3, 4.4, 2.8, 1.8, 1.3, 1, 0.72];
    private static readonly double[] ThreeMv = [25, 15, 9.5, 6.4, 3.8, 2.4, 1.55, 1.1, 0.85, 0.61];

    private static string T(double value) => value.ToString(CultureInfo.InvariantCulture);

    // The first value whose condition holds.
    private static string First(IEnumerable<(string When, string Then)> cases) =>
        cases.Reverse().Aggregate("-1", (rest, c) => $"IF({c.When},{c.Then},{rest})");

    private static string[] Formulas(string[] r)
    {
        var (gulf, use, three) = (r[0] == "sb-gulf", r[1], r[3] == "yes");
        var amps = three ? $"({r[2]}/(SQRT(3)*400))" : $"({r[2]}/230)";
        var design = use == "cooker" ? $"IF({amps}<=10,{amps},10+0.3*({amps}-10))" : amps;
        var least = use switch
        {
            "lights" => gulf ? $"IF({r[2]}<=1200,10,16)" : $"IF({r[2]}<=1200,6,10)",
            "ring" or "cooker" => "32",
            "radial" or "water-heater" => "20",
            _ => "16",
        };
        int[] breakers = [6, 10, 16, 20, 25, 32, 40, 50, 63, 80, 100, 125];
        var breaker =
            r[7].Length > 0 ? r[7]
            : use is "ring" or "radial" ? least
            : First(breakers.Select(b => ($"{b}+0.000001>=MAX({least},{design})", $"{b}")));
        var hot = $"MAX({r[4]},{(gulf ? 40 : 30)})";
        (int, double)[] ambient = [(25, 1.03), (30, 1), (35, 0.94), (40, 0.87), (45, 0.79), (50, 0.71)];
        (int, double)[] grouped = [(1, 1), (2, 0.8), (3, 0.7), (4, 0.65), (5, 0.6), (6, 0.57), (7, 0.54), (8, 0.52), (9, 0.5)];
        var byHeat = First(ambient.Select(a => ($"{hot}<={a.Item1}", T(a.Item2))));
        var factor = $"({byHeat}*{First(grouped.Select(g => ($"{r[5]}<={g.Item1}", T(g.Item2))))})";
        var need = use == "ring" ? $"MAX(20,0.67*{breaker})" : breaker;
        var smallest = use switch
        {
            "lights" => gulf ? "2.5" : "1.5",
            "ring" or "radial" => gulf ? "4" : "2.5",
            "cooker" => "6",
            "water-heater" => "4",
            _ => "2.5",
        };
        var (rating, mv) = (three ? Three : Single, three ? ThreeMv : SingleMv);
        string Cable(Func<int, string> then) =>
            First(
                Enumerable
                    .Range(0, Sections.Length)
                    .Select(i => ($"AND({Sections[i]}>={smallest},{T(rating[i])}*{factor}+0.000001>={need})", then(i)))
            );
        var current = use is "ring" or "radial" ? breaker : amps;
        return
        [
            $"={breaker}",
            $"={Cable(i => Sections[i])}",
            $"={Cable(i => $"{T(rating[i])}*{factor}")}",
            $"={Cable(i => $"{T(mv[i])}*{current}*{r[6]}/{(use == "ring" ? 4 : 1)}/1000/{(three ? 400 : 230)}*100")}",
        ];
    }

    [Fact]
    public async Task Breaker_cable_rating_and_drop_of_every_tabled_circuit()
    {
        var rows = File.ReadAllLines(Path.Combine(JobFileTests.Root(), "tests", "Circuitum.Core.Tests", "Cases", "board-circuit.md"))
            .Where(l => l.StartsWith("| sb-", StringComparison.Ordinal))
            .Select(l => l.Trim('|').Split('|').Select(c => c.Trim()).ToArray())
            .ToList();
        rows.Count.ShouldBeGreaterThanOrEqualTo(40);
        var worked = await Worksheet.Work(rows.Select(Formulas));
        foreach (var (r, got) in rows.Zip(worked))
        {
            double[] tabled = [.. new[] { r[8], r[9], r[11], r[12] }.Select(c => double.Parse(c, CultureInfo.InvariantCulture))];
            for (var i = 0; i < tabled.Length; i++)
                got[i].ShouldBe(tabled[i], 0.0051, string.Join(", ", r));
        }
    }

    [Fact]
    public async Task Lines_balance_and_demand_of_the_villa()
    {
        var a = HouseDeriver.Derive(Planner.PlanAll(BoardSample.Villa()));
        var sheets = a.Panels.Select(p => BoardSheet.Of(a, p)!).ToList();
        var worked = await Worksheet.Work([.. sheets.Select(Sums), Demand(a.Job)]);
        foreach (var (sheet, got) in sheets.Zip(worked))
        {
            for (var l = 0; l < 3; l++)
                sheet.Lines[l].Value.ShouldBe(got[l], 0.5, sheet.At.Panel.Name);
            sheet.ApartPercent.ShouldBe(got[3], 0.05);
        }

        a.Service.Total.Value.ShouldBe(worked[^1][0], 0.5);
        a.Service.Current.Value.ShouldBe(worked[^1][1], 0.05);
    }

    // Half the millivolts of an ampere and a metre are the milliohms of a metre of one conductor; a ring has a quarter of its loop.
    [Fact]
    public async Task Earth_fault_loop_of_every_circuit_of_the_villa()
    {
        const double Told = 0.35;
        var job = Planner.PlanAll(BoardSample.Villa());
        var a = HouseDeriver.Derive(job with { Panels = [.. job.Panels.Select((p, i) => i == 0 ? p with { LoopOhm = Told } : p)] });
        var feeder = a.Panels[1].Feeder!;
        string Metre(WireSize size) => T(SingleMv[Array.IndexOf(Sections, size.Number)] / 2);
        string Ohms(WireSize line, WireSize earth, double feet) => $"({Metre(line)}+{Metre(earth)})*{T(feet)}*0.3048/1000";
        double Way(CircuitAnalysis c)
        {
            double To(string box) => c.Run.Segments.Where(s => s.To == box).Sum(s => s.Way.InFeet + (s.From is { } f ? To(f) : 0));
            return c.Board!.Ring ? c.Run.Cables.Sum(s => s.Way.InFeet) : c.Run.Segments.Max(s => To(s.To));
        }

        var circuits = a.Circuits.Where(c => c.Boxes.Length > 0).ToList();
        var worked = await Worksheet.Work(
            circuits.Select(c =>
                new[]
                {
                    $"={T(Told)}{(c.Panel == a.Panels[1].Panel.Id ? $"+{Ohms(feeder.Wire!.Size, feeder.Ground, feeder.Cut.InFeet)}" : "")}"
                        + $"+{Ohms(c.Wire!.Size, c.Board!.Earth!.Value, Way(c))}/{(c.Board.Ring ? 4 : 1)}",
                    $"={(c.Board.Curve == "B" ? "43.7" : "21.85")}/{c.Breaker}",
                }
            )
        );
        circuits.Count.ShouldBe(26);
        foreach (var (c, got) in circuits.Zip(worked))
        {
            var loop = BoardLoop.Of(a, c)!;
            loop.Ohm.ShouldBe(got[0], 0.0005, c.Label);
            loop.MostOhm.ShouldBe(got[1], 0.0005, c.Label);
        }

        var untold = HouseDeriver.Derive(job);
        untold.Circuits.ShouldAllBe(c => BoardLoop.Of(untold, c) == null);
    }

    // What the schedule says of each breaker, added up by its line.
    private static string[] Sums(BoardSheet sheet)
    {
        string Line(int line) =>
            string.Join(
                "+",
                sheet
                    .Places.Where(p => !p.GoesOn && !p.Row.Free)
                    .Select(p =>
                        p.Row.Feeder is { } f ? $"{T(f.Connected.Value)}/3"
                        : p.Name.EndsWith("RYB"[line]) ? T(p.Circuit!.Load.Connected.Value)
                        : "0"
                    )
            );
        var lines = Enumerable.Range(0, 3).Select(Line).ToList();
        var mean = $"(({string.Join("+", lines)})/3)";
        return [.. lines.Select(l => $"={l}"), $"=MAX({string.Join(",", lines.Select(l => $"ABS({l}-{mean})"))})/{mean}*100"];
    }

    // Lamp points 100 W, recessed ones 35 W, twins 400 W, appliances by their plates or the library, each by its diversity.
    private static string[] Demand(Job job)
    {
        var boxes = job.Decisions.Boxes;
        var lamps = boxes.Where(b => b.Kind == BoxKind.Light).ToList();
        var lights = $"({lamps.Count(b => b.Fixture != LightStyle.Recessed)}*100+{lamps.Count(b => b.Fixture == LightStyle.Recessed)}*35)";
        double Plates(Func<string, bool> of) =>
            job.Appliances.Where(x => of(x.Type)).Sum(x => x.Nameplate.VoltAmperes ?? CodeLibrary.Appliances[x.Type].Va);
        var sockets =
            $"({boxes.Count(b => b.Kind == BoxKind.Receptacle)}*400+{T(Plates(t => t is "refrigerator" or "dishwasher" or "washer"))})";
        var alarms = $"{boxes.Count(b => b.Kind == BoxKind.SmokeAlarm)}*5";
        var total =
            $"(({lights}+{alarms})*0.66+{sockets}*0.4+{T(Plates(t => t == "range"))}*0.6+{T(Plates(t => t == "water-heater"))}*1"
            + $"+{T(Plates(t => t == "mini-split"))}*0.8)";
        return [$"={total}", $"={total}/(SQRT(3)*400)"];
    }
}
