using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Protection;
using Circuitum.Core.Routing;

namespace Circuitum.Core.Tests;

// Where protective devices sit, and what they cover.
public partial class ProtectionTests
{
    [Theory]
    [InlineData(true, null, ProtectionPlace.FirstReceptacle, false)]
    [InlineData(true, ProtectionPlace.FirstReceptacle, ProtectionPlace.Breaker, true)]
    [InlineData(false, null, ProtectionPlace.FirstReceptacle, true)]
    [InlineData(false, null, ProtectionPlace.Breaker, false)]
    [InlineData(false, ProtectionPlace.Breaker, ProtectionPlace.FirstReceptacle, false)]
    public void The_place_of_ground_fault_protection(bool arc, ProtectionPlace? chosen, ProtectionPlace preferred, bool inReceptacle) =>
        ProtectionPlan.InReceptacle(arc, chosen, new() { GroundFault = preferred }).ShouldBe(inReceptacle);

    private static CableSegment H(string? from, string to, double feet = 10) => new(from, to, Length.Feet(feet), Length.Feet(feet));

    /// <summary>
    /// A chain a, b, c, d of receptacles; the needs are given as letters, small for ground-fault and large for arc-fault.
    /// </summary>
    private static ProtectionCase Case(string needs, Preferences preferences) =>
        new()
        {
            Needs = "abcd".ToDictionary(
                b => $"{b}",
                b =>
                    (System.Collections.Immutable.ImmutableArray<ProtectionNeed>)
                        [
                            .. needs.Contains(b)
                                ? [new ProtectionNeed(ProtectionKind.GroundFault, "protect.kitchen", "", "")]
                                : Array.Empty<ProtectionNeed>(),
                            .. needs.Contains(char.ToUpperInvariant(b))
                                ? [new ProtectionNeed(ProtectionKind.ArcFault, "protect.arc", "", "")]
                                : Array.Empty<ProtectionNeed>(),
                        ]
            ),
            Boxes = [.. "abcd".Select(b => At(3) with { Id = $"{b}" })],
            Connection = Connection.OneLine,
            Preferences = preferences,
            Run = Chain,
            RunFrom = first =>
                first == "a"
                    ? Chain
                    : new([H(null, first, 40), .. Chain.Segments.Where(h => h.To != first).Select(h => h with { From = first })]),
            FirstOutletCite = "210.12(A)(5)",
        };

    public static TheoryData<string, string, string, string> Devices =>
        new()
        {
            // needs, preference, devices, covered by the last one
            { "", "receptacle", "", "" },
            { "A", "receptacle", "AFCI", "abcd" },
            { "abcd", "receptacle", "GFCI receptacle", "abcd" },
            { "cd", "receptacle", "GFCI receptacle", "cd" },
            { "d", "receptacle", "GFCI receptacle", "d" },
            { "bd", "receptacle", "GFCI receptacle", "bcd" },
            { "abcd", "breaker", "GFCI", "abcd" },
            { "aB", "receptacle", "AFCI/GFCI", "abcd" },
            { "cB", "two", "AFCI + GFCI receptacle", "cd" },
            { "AB", "outlet", "AFCI", "abcd" },
            { "AB", "outlet metal", "AFCI receptacle", "abcd" },
            { "Ab", "outlet metal", "AFCI/GFCI receptacle", "abcd" },
        };

    [Theory]
    [MemberData(nameof(Devices))]
    public void The_devices_of_a_chain(string needs, string preference, string mark, string covered)
    {
        var preferences = new Preferences
        {
            GroundFault = preference == "breaker" ? ProtectionPlace.Breaker : ProtectionPlace.FirstReceptacle,
            BothKinds = preference == "two" ? BothKinds.BreakerAndReceptacle : BothKinds.DualFunction,
            ArcFault = preference.StartsWith("outlet", StringComparison.Ordinal) ? ArcFaultPlace.FirstOutlet : ArcFaultPlace.Breaker,
            HomeRunMethod = preference.EndsWith("metal", StringComparison.Ordinal) ? HomeRunMethod.Metal : HomeRunMethod.Sheathed,
        };
        var (got, _) = ProtectionPlan.Of(Case(needs, preferences));
        got.Mark.ShouldBe(mark);
        string.Concat(got.Devices.LastOrDefault()?.Covers ?? []).ShouldBe(covered);
        got.Reason.ShouldEndWith(".");
    }

    [Fact]
    public void What_is_fed_from_the_line_side_is_not_protected()
    {
        // Device at b, c on its load terminals and d through c; then c pigtailed on the line side.
        ProtectionPlan.Load(Chain, "b", []).Order().ShouldBe(["b", "c", "d"]);
        ProtectionPlan.Load(Chain, "b", ["c"]).ShouldBe(["b"]);
        var spared = ProtectionPlan.Of(Case("ab", new()) with { LineSide = ["c"] }).Protection;
        string.Concat(spared.Devices.Single().Covers).ShouldBe("ab");
    }

    [Fact]
    public void No_receptacle_in_reach_takes_the_breaker()
    {
        var behind = Case("ab", new()) with { Boxes = [.. "abcd".Select(b => At(3, BoxKind.Appliance) with { Id = $"{b}" })] };
        ProtectionPlan.Of(behind).Protection.Mark.ShouldBe("GFCI");
    }

    [Fact]
    public void Leading_the_cable_to_a_receptacle_first_must_be_cheaper_than_the_breaker()
    {
        // Only d can hold the device and a needs it too: 120 ft more cable, or 3 ft more.
        ProtectionCase At(double feet) =>
            Case("ad", new()) with
            {
                Boxes = [.. "abcd".Select(b => ProtectionTests.At(3, b == 'd' ? BoxKind.Receptacle : BoxKind.Light) with { Id = $"{b}" })],
                RunFrom = first => new([H(null, first, feet), H(first, "c"), H("c", "b"), H("b", "a")]),
            };
        ProtectionPlan.Of(At(130)).Protection.Mark.ShouldBe("GFCI");
        ProtectionPlan
            .Of(At(13))
            .ShouldSatisfyAllConditions(x => x.Protection.Mark.ShouldBe("GFCI receptacle"), x => x.Run.First.ShouldBe("d"));
        ProtectionPlan.Of(At(130) with { Chosen = ProtectionPlace.FirstReceptacle }).Protection.Mark.ShouldBe("GFCI receptacle");
    }
}
