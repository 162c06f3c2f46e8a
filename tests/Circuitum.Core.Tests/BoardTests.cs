using System.Globalization;
using Circuitum.Core.Bench;
using Circuitum.Core.Codes;
using Circuitum.Core.Measure;
using Circuitum.Core.Panels;
using Circuitum.Core.Sizing;

namespace Circuitum.Core.Tests;

/// <summary>Sizing of split boards by worked cases, and the division over three lines against every other one.</summary>
public class BoardTests
{
    public static TheoryData<string, string[]> Circuits => TabledCases.Table("board-circuit", 8);

    private static BenchAnswer Ask(string question, params (string, string)[] fields) =>
        BenchDesk.Ask(BenchDesk.Find(question)!, [.. fields.Where(f => f.Item2.Length > 0)]);

    private static string Say(object? value) => Convert.ToString(value, CultureInfo.InvariantCulture)!;

    [Theory]
    [MemberData(nameof(Circuits))]
    public void Breaker_and_cable(string what, string[] r)
    {
        var got = Ask(
            "board-circuit",
            ("rules", r[0]),
            ("use", r[1]),
            ("watts", r[2]),
            ("three-lines", r[3]),
            ("ambient-c", r[4]),
            ("together", r[5]),
            ("metres", r[6]),
            ("breaker", r[7])
        );
        new[] { "breaker", "size", "earth", "rating", "dropPercent" }.Select(k => Say(got[k])).ShouldBe(r[8..13], what);
    }

    [Theory]
    [InlineData("radial", 1, "4")]
    [InlineData("radial", 2, "4")]
    [InlineData("radial", 3, "6")]
    [InlineData("ring", 1, "4")]
    [InlineData("ring", 2, "4")]
    [InlineData("ring", 3, "6")]
    public void Circuits_together_in_a_conduit_ask_for_larger_cable(string use, int together, string size) =>
        Ask("board-circuit", ("use", use), ("watts", "1600"), ("ambient-c", "40"), ("together", $"{together}"))["size"].ShouldBe(size);

    [Theory]
    [InlineData("60", "1")]
    [InlineData("40", "12")]
    public void Past_the_tables_nothing_is_made_up(string ambient, string together) =>
        Ask("board-circuit", ("use", "lights"), ("watts", "500"), ("ambient-c", ambient), ("together", together))
            .Derivation.Because.ShouldContain("No breaker or no cable");

    [Fact]
    public void A_section_is_read_and_told_with_its_unit()
    {
        foreach (var cable in CodeLibrary.Families.SplitBoard.Cables)
        {
            cable.Size.ToString().ShouldBe($"{cable.Mm2} mm2");
            cable.Size.Told.ShouldBe(cable.Size.ToString());
            WireSize.Parse($"{cable.Mm2} mm2").ShouldBe(cable.Size);
            cable.Size.ShouldNotBe(WireSize.TryParse(cable.Mm2, out var gauge) ? gauge : default);

            // The drop by the row is that by millivolts.
            Conductor
                .DropVolts(Length.Feet(100 / 0.3048), new(10), Conductor.Copper(cable.Size))
                .ShouldBe(cable.SingleMv * 10 * 100 / 1000, 1e-3);
        }

        CodeLibrary.Families.SplitBoard.Cables.Select(c => c.Size).ShouldBeInOrder();
        WireSize.TryParse("0 mm2", out _).ShouldBeFalse();
        WireSize.TryParse("1e9 mm2", out _).ShouldBeFalse();
    }

    [Theory]
    [InlineData(16, "16")]
    [InlineData(25, "16")]
    [InlineData(35, "16")]
    [InlineData(50, "25")]
    [InlineData(2.5, "2.5")]
    public void The_protective_conductor_goes_by_the_line(double line, string earth) =>
        BoardSizing.Protective(WireSize.Section(line), CodeLibrary.Edition("sb-gulf")).Number.ShouldBe(earth);

    // Every division, without any of the shortcuts that the program takes.
    private static long Least(int[] watts)
    {
        var best = long.MaxValue;
        for (var code = 0L; code < (long)Math.Pow(3, watts.Length); code++)
        {
            var sums = new long[3];
            var rest = code;
            foreach (var w in watts)
            {
                sums[rest % 3] += w;
                rest /= 3;
            }

            best = Math.Min(best, sums.Max(s => Math.Abs((3 * s) - sums.Sum())));
        }

        return best;
    }

    private static long[] Sums(int[] watts, IReadOnlyList<int> lines) =>
        [.. Enumerable.Range(0, 3).Select(l => watts.Where((_, i) => lines[i] == l).Sum(w => (long)w))];

    [Fact]
    public void The_division_over_three_lines_is_as_good_as_every_other()
    {
        var random = new Random(5);
        for (var n = 0; n < 120; n++)
        {
            int[] watts = [.. Enumerable.Range(0, n < 117 ? random.Next(1, 9) : 12).Select(_ => random.Next(1, 60) * 100)];
            LineBalance.Apart(Sums(watts, LineBalance.Divide(watts))).ShouldBe(Least(watts), string.Join(' ', watts));
        }
    }

    [Fact]
    public void Of_many_circuits_no_move_and_no_exchange_is_left_and_the_bound_holds()
    {
        var random = new Random(6);
        for (var n = 0; n < 100; n++)
        {
            int[] watts = [.. Enumerable.Range(0, random.Next(13, 36)).Select(_ => random.Next(1, 100) * 100)];
            var lines = LineBalance.Divide(watts).ToArray();
            var apart = LineBalance.Apart(Sums(watts, lines)) / 3.0;
            apart.ShouldBeGreaterThanOrEqualTo(LineBalance.Bound(watts) - 1e-9);

            // The lightest on the heaviest line is no more than that line is over the lightest one.
            var sums = Sums(watts, lines);
            var lightest = watts.Where((_, i) => lines[i] == Array.IndexOf(sums, sums.Max())).Min();
            apart.ShouldBeLessThanOrEqualTo(Math.Max(LineBalance.Bound(watts), lightest) + 1e-9);
            (apart / (sums.Sum() / 3.0)).ShouldBeLessThan(0.02, string.Join(' ', watts));
        }
    }

    [Fact]
    public void What_cannot_be_on_a_line_is_put_on_another()
    {
        // Three places on the first line are taken.
        var lines = LineBalance.Divide([500, 400, 300], line => !line.Contains(0), [0, 900, 0]);
        lines.ShouldNotContain(0);
        LineBalance.Divide([], null).ShouldBeEmpty();
        LineBalance.Bound([]).ShouldBe(0);
    }
}
