using System.Globalization;

namespace Circuitum.Formats.Tests;

/// <summary>
/// The tabled cases of the Canadian edition, worked out once more by a spreadsheet program from tables and formulas that are written here
/// without the program's help.
/// </summary>
public class CanadaSpreadsheetTests
{
    // Copper by its terminals, and what a breaker of these sizes may be at most.
    private static readonly int[] Sizes = [14, 12, 10, 8, 6, 4, 3, 2, 1];
    private static readonly int[] At60 = [15, 20, 30, 40, 55, 70, 85, 95, 110];
    private static readonly int[] At75 = [20, 25, 35, 50, 65, 85, 100, 115, 130];
    private static readonly int[] Breakers = [15, 20, 25, 30, 35, 40, 45, 50, 60, 70, 80, 90, 100, 110, 125, 150];
    private static readonly Dictionary<int, int> Most = new()
    {
        [14] = 15,
        [12] = 20,
        [10] = 30,
    };

    private static readonly Dictionary<string, string> Room = new()
    {
        ["14"] = "1.5",
        ["12"] = "1.75",
        ["10"] = "2.25",
        ["8"] = "2.75",
        ["6"] = "4.5",
    };

    private static List<string[]> Cases(string name)
    {
        var rows = File.ReadAllLines(Path.Combine(JobFileTests.Root(), "tests", "Circuitum.Core.Tests", "Cases", $"{name}.md"))
            .Where(l => l.StartsWith("| ", StringComparison.Ordinal))
            .Skip(1)
            .Select(l => l.Trim('|').Split('|').Select(c => c.Trim()).ToArray())
            .ToList();
        rows.Count.ShouldBeGreaterThanOrEqualTo(8);
        return rows;
    }

    private static string First(IEnumerable<(string When, string Then)> cases) =>
        cases.Reverse().Aggregate("-1", (rest, c) => $"IF({c.When},{c.Then},{rest})");

    private static string Sum(IEnumerable<string> terms) => string.Join("+", terms.DefaultIfEmpty("0"));

    // The load through what may run on at 80 percent, the breaker over it and the one below that, and the wire: read once, the load
    // divided by the factors; the breaker is the next one over what is left of the wire at most.
    private static string[] Wire(string[] r, int row)
    {
        var need = $"({r[0]}+{r[1]}/0.8)";
        var together = First([($"{r[3]}<=3", "1"), ($"{r[3]}<=6", "0.8"), ($"{r[3]}<=24", "0.7"), ($"{r[3]}<=42", "0.6")]);
        var around = First([($"{r[4]}<=30", "1"), ($"{r[4]}<=35", "0.96"), ($"{r[4]}<=40", "0.91"), ($"{r[4]}<=45", "0.87")]);
        var factor = $"({together}*{around})";
        var column = r[2] == "60" ? At60 : At75;
        return
        [
            $"={First(Breakers.Select(b => ($"{b}+0.000001>={need}", $"{b}")))}",
            $"={First(Breakers.Select((b, i) => ($"A{row}={b}", i == 0 ? "0" : $"{Breakers[i - 1]}")))}",
            $"={First(Sizes.Select((s, i) => (
                $"AND({column[i]}+0.000001>={need}/{factor},{column[i]}*{factor}>B{row},{Most.GetValueOrDefault(s, 999)}>=A{row})",
                $"{s}"
            )))}",
        ];
    }

    [Fact]
    public async Task Wire_and_breaker_of_every_tabled_circuit()
    {
        var rows = Cases("canada-wire");
        var worked = await Worksheet.Work(rows.Select((r, i) => Wire(r, i + 1)));
        foreach (var (r, got) in rows.Zip(worked))
            ($"{got[2]}", $"{got[0]}").ShouldBe((r[5], r[6]), string.Join(", ", r));
    }

    private static string[] Service(string[] r)
    {
        var loads = r[2].Split(' ').Select(l => (Word: l.Split(':')[0], Va: l.Split(':')[1])).ToList();
        string Of(params string[] words) => $"({Sum(loads.Where(l => words.Contains(l.Word)).Select(l => l.Va))})";
        bool Has(string word) => loads.Any(l => l.Word == word);
        var area = $"(5000+1000*ROUNDUP(MAX(0,{r[0]}-0.25*{r[1]}-90)/90,0))";
        var heat = Of("heating", "heat-pump");
        var climate = $"MAX(MIN({heat},10000)+0.75*MAX(0,{heat}-10000),{Of("cooling")})";

        // A cooktop and an oven without a range are one; beside a range they are like any other.
        var cooking = Has("range") ? Of("range") : Of("cooktop", "wall-oven");
        var cooks = Has("range") || Has("cooktop");
        var range = cooks ? $"(6000+0.4*MAX(0,{cooking}-12000))" : "0";
        var full = Of("tankless", "hot-tub", "pool", "ev");
        string[] own = ["heating", "heat-pump", "cooling", "range", "tankless", "hot-tub", "pool", "ev"];
        var rest =
            $"({Sum(
            loads
                .Where(l => !own.Contains(l.Word) && (Has("range") || l.Word is not ("cooktop" or "wall-oven")))
                .Select(l => $"IF({l.Va}>1500,{l.Va},0)")
        )})";
        var large = cooks ? $"0.25*{rest}" : $"(MIN({rest},6000)+0.25*MAX(0,{rest}-6000))";
        return [$"=MAX({area}+{climate}+{range}+{full}+{large},IF({r[0]}-{r[1]}>=80,24000,14400))"];
    }

    [Fact]
    public async Task Service_load_of_every_tabled_house()
    {
        var rows = Cases("canada-service");
        var worked = await Worksheet.Work(rows.Select(Service));
        foreach (var (r, got) in rows.Zip(worked))
            got[0].ShouldBe(double.Parse(r[3], CultureInfo.InvariantCulture), 0.5, string.Join(", ", r));
    }

    private static string[] Box(string[] r)
    {
        static List<(string Room, string Count)> Of(string text) =>
            [
                .. text.Split(',', StringSplitOptions.RemoveEmptyEntries)
                    .Select(w => (CanadaSpreadsheetTests.Room[w.Split(':')[0]], w.Split(':')[1])),
            ];
        var largest = $"MAX({string.Join(",", Of(r[0]).Select(w => w.Room))})";
        return
        [
            $"={Sum(Of(r[0]).Select(w => $"{w.Count}*{w.Room}"))}+{Sum(Of(r[2]).Select(w => $"{w.Count}*2*{w.Room}"))}"
                + $"+INT({r[3]}/2)*{largest}",
        ];
    }

    [Fact]
    public async Task Room_in_every_tabled_box()
    {
        var rows = Cases("canada-box");
        var worked = await Worksheet.Work(rows.Select(Box));
        foreach (var (r, got) in rows.Zip(worked))
            got[0].ShouldBe(double.Parse(r[4], CultureInfo.InvariantCulture), 0.0001, string.Join(", ", r));
    }
}
