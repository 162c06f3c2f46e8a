using System.Globalization;
using Circuitum.Core.Bench;

namespace Circuitum.Formats.Tests;

/// <summary>
/// Service loads of the tabled houses, worked out once more by a spreadsheet program from formulas that are written here without the
/// program's help.
/// </summary>
public class LoadSpreadsheetTests
{
    private static readonly HashSet<string> CookingWords = ["range", "cooktop", "wall-oven"],
        Heats = ["air-handler", "baseboard"];

    private static readonly HashSet<string> Motors = ["heat-pump", "cooling", "disposer", "well-pump", "sump-pump", "jet-tub"];

    private sealed record House(
        string Name,
        string Area,
        string Kitchens,
        string Laundries,
        (string Word, double Va)[] Loads,
        string Loaded
    );

    private static List<House> Houses() =>
        [
            .. File.ReadAllLines(Path.Combine(JobFileTests.Root(), "tests", "Circuitum.Core.Tests", "Cases", "service-load.md"))
                .Where(l => l.StartsWith("| ", StringComparison.Ordinal))
                .Skip(1)
                .Select(l => l.Split('|').Select(c => c.Trim()).ToArray())
                .Select(c => new House(
                    c[1],
                    c[2],
                    c[3],
                    c[4],
                    [
                        .. c[5]
                            .Split(' ', StringSplitOptions.RemoveEmptyEntries)
                            .Select(p => (p.Split(':')[0], double.Parse(p.Split(':')[1], CultureInfo.InvariantCulture))),
                    ],
                    c[5]
                )),
        ];

    // Two formulas of a house: the standard method from 220.40 on, and 220.82.
    private static (string Standard, string Optional) Formulas(House h)
    {
        string Sum(Func<string, bool> of) => string.Join("+", h.Loads.Where(l => of(l.Word)).Select(l => $"{l.Va}").DefaultIfEmpty("0"));
        bool Fixed(string word) =>
            !CookingWords.Contains(word) && !Heats.Contains(word) && word is not ("dryer" or "ev-charger" or "heat-pump" or "cooling");
        var general = $"(ROUND({h.Area},0)*3+MAX(2,{h.Kitchens})*1500+MAX(1,{h.Laundries})*1500)";
        var large = h.Loads.Where(l => Fixed(l.Word) && l.Va >= 500).ToList();
        var small = string.Join("+", h.Loads.Where(l => Fixed(l.Word) && l.Va < 500).Select(l => $"{l.Va}").DefaultIfEmpty("0"));
        var plates = h.Loads.Where(l => CookingWords.Contains(l.Word)).Select(l => $"{l.Va / 1000}").ToList();
        var columnC = new[] { "0", "8", "11", "14" }[plates.Count];
        var average = $"(({string.Join("+", plates.Select(p => $"MAX(12,{p})").DefaultIfEmpty("12"))})/{Math.Max(1, plates.Count)})";
        var byC = $"1000*{columnC}*(1+0.05*INT({average}-11.5))";
        var cooking = plates.Count switch
        {
            0 => "0",
            1 => $"IF({plates[0]}<=8.75,{plates[0]}*800,{byC})",
            _ => h.Loads.Where(l => CookingWords.Contains(l.Word)).Any(l => l.Va > 8750)
                ? byC
                : throw new InvalidOperationException("No such house is tabled."),
        };
        var (pump, heat, cooling) = (Sum(w => w == "heat-pump"), Sum(Heats.Contains), Sum(w => w == "cooling"));
        var coolingRuns =
            h.Loads.Where(l => l.Word == "cooling").Sum(l => l.Va) >= h.Loads.Where(l => Heats.Contains(l.Word)).Sum(l => l.Va);
        var motor = string.Join(
            ",",
            h.Loads.Where(l => Motors.Contains(l.Word) && (l.Word != "cooling" || coolingRuns)).Select(l => $"{l.Va}").DefaultIfEmpty("0")
        );
        var standard =
            $"=MIN({general},3000)+0.35*MAX(0,MIN({general},120000)-3000)+0.25*MAX(0,{general}-120000)"
            + $"+({string.Join("+", large.Select(l => $"{l.Va}").DefaultIfEmpty("0"))})*{(large.Count >= 4 ? "0.75" : "1")}+"
            + $"{small}+{cooking}"
            + string.Concat(h.Loads.Where(l => l.Word == "dryer").Select(l => $"+MAX(5000,{l.Va})"))
            + string.Concat(h.Loads.Where(l => l.Word == "ev-charger").Select(l => $"+MAX(7200,{l.Va})"))
            + $"+MAX({pump}+{heat},{cooling}+{pump})+0.25*MAX({motor})";
        var all = $"({general}+{Sum(w => !Heats.Contains(w) && w is not ("heat-pump" or "cooling"))})";
        var share = h.Loads.Any(l => l.Word == "heat-pump") || h.Loads.Count(l => Heats.Contains(l.Word)) < 4 ? "0.65" : "0.4";
        return (standard, $"=MIN({all},10000)+0.4*MAX(0,{all}-10000)+MAX({pump}+({heat})*{share},{cooling}+{pump})");
    }

    [Fact]
    public async Task Both_methods_agree_with_a_spreadsheet_on_every_tabled_house()
    {
        var houses = Houses();
        houses.Count.ShouldBeGreaterThan(50);
        var worked = await Worksheet.Work(houses.Select(Formulas).Select(f => new[] { f.Standard, f.Optional }));
        worked.Count.ShouldBe(houses.Count);
        foreach (var (h, row) in houses.Zip(worked))
        {
            double By(string method) =>
                (double)
                    BenchDesk.Ask(
                        BenchDesk.Find("service")!,
                        [
                            ("method", method),
                            ("area-sqft", h.Area),
                            ("small-appliance", h.Kitchens),
                            ("laundry", h.Laundries),
                            ("load", h.Loaded),
                        ]
                    )["va"]!;
            By("standard").ShouldBe(row[0], 0.51, $"{h.Name}, standard");
            By("optional").ShouldBe(row[1], 0.51, $"{h.Name}, optional");
        }
    }
}
