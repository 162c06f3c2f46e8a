using System.Globalization;
using Circuitum.Core.Bench;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Loads;
using Circuitum.Core.Measure;
using Circuitum.Core.Sizing;

namespace Circuitum.Core.Tests;

/// <summary>Cases worked by hand, in the tables of the folder Cases, where anybody can read and add to them.</summary>
public class TabledCases
{
    private static readonly CodeEdition Us2023 = CodeLibrary.Edition("us-2023");

    /// <summary>The rows of a table as cells by heading.</summary>
    private static IEnumerable<string[]> Rows(string file)
    {
        var at = new DirectoryInfo(AppContext.BaseDirectory);
        while (at is not null && !Directory.Exists(Path.Combine(at.FullName, "Cases")))
            at = at.Parent;
        return File.ReadAllLines(Path.Combine(at!.FullName, "Cases", $"{file}.md"))
            .Where(l => l.StartsWith('|'))
            .Skip(2)
            .Select(l => l.Trim('|').Split('|').Select(c => c.Trim()).ToArray());
    }

    internal static TheoryData<string, string[]> Table(string file, int name = 3)
    {
        var data = new TheoryData<string, string[]>();
        foreach (var row in Rows(file))
            data.Add(string.Join(", ", row[..name]), row);
        return data;
    }

    private static double D(string cell) => cell.Length == 0 ? 0 : double.Parse(cell, CultureInfo.InvariantCulture);

    private static int N(string cell) => int.Parse(cell, CultureInfo.InvariantCulture);

    private static int? Maybe(string cell) => cell.Length == 0 ? null : N(cell);

    private static double[] Sum(string cell) =>
        [.. cell.Split('+', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries).Select(D)];

    public static TheoryData<string, string[]> Cable => Table("wire-in-cable");

    public static TheoryData<string, string[]> Conduit => Table("wire-in-conduit");

    public static TheoryData<string, string[]> Drop => Table("voltage-drop");

    public static TheoryData<string, string[]> Ground => Table("equipment-ground");

    public static TheoryData<string, string[]> Range => Table("one-range");

    public static TheoryData<string, string[]> Load => Table("circuit-load");

    public static TheoryData<string, string[]> Nameplate => Table("by-nameplate");

    public static TheoryData<string, string[]> Least => Table("least-circuits");

    public static TheoryData<string, string[]> ConduitFills => Table("conduit-fill");

    public static TheoryData<string, string[]> Bends => Table("bends");

    public static TheoryData<string, string[]> Bundles => Table("bundle");

    public static TheoryData<string, string[]> BoxFills => Table("box-fill");

    public static TheoryData<string, string[]> Services => Table("service-load");

    public static TheoryData<string, string[]> Cooking => Table("cooking", 2);

    [Fact]
    public void There_are_at_least_300_of_them() =>
        new[] { Cable, Conduit, Drop, Ground, Range, Load, Nameplate, Least, ConduitFills, Bends, Bundles, BoxFills, Services, Cooking }
            .Sum(t => t.Count)
            .ShouldBeGreaterThanOrEqualTo(300);

    [Theory]
    [MemberData(nameof(Cable))]
    public void Wire_in_cable(string what, string[] r)
    {
        var got = Conductor
            .Choose(
                new()
                {
                    NonContinuous = new(D(r[1])),
                    Continuous = new(D(r[2])),
                    Breaker = Maybe(r[3]),
                    CurrentCarrying = N(r[4]),
                    AmbientC = N(r[5]),
                    SeveralReceptacles = r[6] == "yes",
                },
                Us2023
            )
            .ShouldNotBeNull(what);
        (got.Size, got.Breaker).ShouldBe((WireSize.Parse(r[7]), N(r[8])), what);
    }

    [Theory]
    [MemberData(nameof(Conduit))]
    public void Wire_in_conduit(string what, string[] r)
    {
        var got = Conductor
            .Choose(
                new()
                {
                    NonContinuous = new(D(r[1])),
                    Continuous = new(D(r[2])),
                    Copper = r[3] == "copper",
                    InsulationC = N(r[4]),
                    TerminationC = N(r[5]),
                    CurrentCarrying = N(r[6]),
                    AmbientC = N(r[7]),
                    Method = WiringMethod.Conduit,
                },
                Us2023
            )
            .ShouldNotBeNull(what);
        (got.Size, got.Breaker).ShouldBe((WireSize.Parse(r[8]), N(r[9])), what);
    }

    [Theory]
    [MemberData(nameof(Drop))]
    public void Voltage_drop(string what, string[] r)
    {
        var volts = Conductor.DropVolts(Length.Feet(D(r[1])), new(D(r[2])), Conductor.Copper(WireSize.Parse(r[0])));
        volts.ShouldBe(D(r[4]), 0.0006, what);
        (volts / D(r[3]) * 100).ShouldBe(D(r[5]), 0.006, what);
        (volts / D(r[3]) * 100 > Us2023.Number("dropPercentBranch")).ShouldBe(r[6] == "yes", what);
    }

    [Theory]
    [MemberData(nameof(Ground))]
    public void Equipment_ground(string what, string[] r)
    {
        var got = EquipmentGround.InCable(N(r[0]), WireSize.Parse(r[1]), WireSize.Parse(r[2]), Us2023);
        (got.Needed, got.There, got.Enough).ShouldBe((WireSize.Parse(r[3]), WireSize.Parse(r[4]), r[5] == "yes"), what);
        got.Derivation(Us2023).Citation.ShouldBe("250.122");
    }

    [Theory]
    [MemberData(nameof(Range))]
    public void One_range(string what, string[] r)
    {
        var demand = CookingDemand.OfRange(new(D(r[0]) * 1000), CodeLibrary.Edition("us-2023")).Demand;
        demand.Value.ShouldBe(D(r[1]), 0.5, what);
        demand.At(240).Value.ShouldBe(D(r[2]), 0.06, what);
        Us2023.BreakerFor(demand.At(240).Value).ShouldBe(N(r[3]), what);
    }

    [Theory]
    [MemberData(nameof(Load))]
    public void Circuit_load(string what, string[] r)
    {
        BoxLoad One(double amps, LoadKind kind, bool continuous = false) => new(new Box(), new(amps * 120), continuous, kind, "");
        List<BoxLoad> loads =
        [
            .. Sum(r[2]).Select(a => One(a, LoadKind.Fixed)),
            .. Sum(r[3]).Select(a => One(a, LoadKind.Fixed, true)),
            .. Sum(r[4]).Select(a => One(a, LoadKind.PlugIn)),
            .. Sum(r[5]).Select(a => One(a, LoadKind.Light)),
            .. Enumerable.Range(0, Maybe(r[6]) ?? 0).Select(_ => One(1.5, LoadKind.GeneralReceptacle)),
        ];
        var found = LoadLimits
            .Check(Us2023, N(r[1]), 120, loads)
            .Select(b => b.RuleId["circuit.".Length..].Replace("plugIn", "plug-in", StringComparison.Ordinal))
            .Distinct();
        string.Join(", ", found).ShouldBe(r[7] == "passes" ? "" : r[7], what);
    }

    [Theory]
    [MemberData(nameof(Nameplate))]
    public void By_nameplate(string what, string[] r)
    {
        var got = Conductor
            .Choose(
                new()
                {
                    NonContinuous = new(D(r[0]) / 1.25),
                    MinimumCircuitAmpacity = D(r[0]),
                    MaximumBreaker = N(r[1]),
                },
                Us2023
            )
            .ShouldNotBeNull(what);
        (got.Size, got.Breaker).ShouldBe((WireSize.Parse(r[2]), N(r[3])), what);
    }

    [Theory]
    [MemberData(nameof(Least))]
    public void Least_circuits(string what, string[] r)
    {
        GeneralLoad.Of(Us2023, D(r[0])).Value.ShouldBe(D(r[1]), what);
        (GeneralLoad.LeastCircuits(Us2023, D(r[0]), 15), GeneralLoad.LeastCircuits(Us2023, D(r[0]), 20)).ShouldBe((N(r[2]), N(r[3])), what);
    }

    [Theory]
    [MemberData(nameof(ConduitFills))]
    public void Conduit_fill(string what, string[] r)
    {
        var got = ConduitFill.Of(
            [.. r[0].Split(" + ").Select(w => w.Split(" x ")).Select(w => new WireCount(WireSize.Parse(w[1]), N(w[0])))],
            r[1]
        );
        got.AreaIn2.ShouldBe(D(r[2]), 0.00005, what);
        (got.Size?.Size ?? "none").ShouldBe(r[3], what);
    }

    [Theory]
    [MemberData(nameof(Bends))]
    public void Bends_between_pull_points(string what, string[] r)
    {
        var got = ConduitBends.Of([.. r[0].Split(' ', StringSplitOptions.RemoveEmptyEntries).Select(N)], CodeLibrary.Conduit["pvc40"]);
        string.Join(", ", got.Stretches).ShouldBe(r[1], what);
        (got.Pass, got.PullPointsWanted).ShouldBe((r[2] == "yes", N(r[3])), what);
    }

    [Theory]
    [MemberData(nameof(Bundles))]
    public void Cables_together(string what, string[] r)
    {
        var got = Conductor
            .Choose(
                new()
                {
                    NonContinuous = new(D(r[3])),
                    Breaker = N(r[3]),
                    CurrentCarrying = 2 * N(r[1]),
                    SeveralReceptacles = true,
                    SmallestSize = WireSize.Parse(r[0]),
                },
                Us2023
            )
            .ShouldNotBeNull(what);
        (got.Size == WireSize.Parse(r[0])).ShouldBe(r[4] == "yes", what);
        if (r[4] == "yes")
            got.Ampacity.Value.ShouldBe(D(r[2]), 1e-9, what);
    }

    [Theory]
    [MemberData(nameof(BoxFills))]
    public void Box_fill(string what, string[] r)
    {
        IEnumerable<(string Size, int Count, bool Wide)> Counts(string cell) =>
            cell.Split(' ', StringSplitOptions.RemoveEmptyEntries)
                .Select(w => w.Split(':'))
                .Select(w => (w[0], N(w[1].TrimEnd('w')), w[1].EndsWith('w')));
        var got = BoxFill.Of(
            new()
            {
                Conductors = [.. Counts(r[2]).Select(w => new WireCount(WireSize.Parse(w.Size), w.Count))],
                Grounds = [.. Counts(r[3]).Select(w => new WireCount(WireSize.Parse(w.Size), w.Count))],
                Devices = [.. Counts(r[4]).SelectMany(w => Enumerable.Repeat(new DeviceYoke(WireSize.Parse(w.Size), w.Wide), w.Count))],
                Clamps = r[5] == "yes",
            },
            CodeLibrary.Edition($"us-{r[1]}")
        );
        got.Inches3.ShouldBe(D(r[6]), 1e-9, what);
    }

    [Theory]
    [MemberData(nameof(Services))]
    public void Service_load(string what, string[] r)
    {
        double By(string method) =>
            (double)
                BenchDesk.Ask(
                    BenchDesk.Find("service")!,
                    [("method", method), ("area-sqft", r[1]), ("small-appliance", r[2]), ("laundry", r[3]), ("load", r[4])]
                )["va"]!;
        By("standard").ShouldBe(D(r[5]), 0.51, what);
        By("optional").ShouldBe(D(r[6]), 0.51, what);
    }

    [Theory]
    [MemberData(nameof(Cooking))]
    public void Cooking_demand(string what, string[] r) =>
        ((double)BenchDesk.Ask(BenchDesk.Find("range")!, [("kw", r[0])])["demandVa"]!).ShouldBe(D(r[1]), 0.51, what);
}
