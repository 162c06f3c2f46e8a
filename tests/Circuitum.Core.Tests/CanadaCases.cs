using System.Globalization;
using Circuitum.Core.Bench;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Codes;
using Circuitum.Core.Measure;
using Circuitum.Core.Sizing;

namespace Circuitum.Core.Tests;

/// <summary>Cases of the Canadian edition, worked by hand; the bench and the jobs ask the same code.</summary>
public class CanadaCases
{
    private const string Id = "ca-2021";
    private static readonly CodeEdition Canada = CodeLibrary.Edition(Id);

    public static TheoryData<string, string[]> Wire => TabledCases.Table("canada-wire", 5);

    public static TheoryData<string, string[]> Service => TabledCases.Table("canada-service");

    public static TheoryData<string, string[]> Box => TabledCases.Table("canada-box", 4);

    public static TheoryData<string, string[]> Ground => TabledCases.Table("canada-ground");

    private static BenchAnswer Ask(string question, params (string, string)[] fields) =>
        BenchDesk.Ask(BenchDesk.Find(question)!, [.. fields.Where(f => f.Item2.Length > 0)]);

    [Theory]
    [MemberData(nameof(Wire))]
    public void Wire_and_breaker(string what, string[] r)
    {
        var got = Ask(
            "wire",
            ("family", Id),
            ("amps", r[0]),
            ("continuous", r[1]),
            ("terminations", r[2]),
            ("current-carrying", r[3]),
            ("ambient-c", r[4]),
            ("method", "conduit")
        );
        ($"{got["size"]}", $"{got["breaker"]}").ShouldBe((r[5], r[6]), what);
    }

    // By the wires of Tables 6 and 9: 3 x 8.9 = 26.7 mm2 in 40 percent of 184; 3 x 38.0 + 15.7 = 129.7, 40 percent of 327 is 131;
    // 3 x 52.5 + 28.2 = 185.7, 40 percent of 537 is 215; one wire of 118 in 53 percent of 327.
    [Theory]
    [InlineData("14:3", "1/2", 26.7)]
    [InlineData("6:3,10:1", "3/4", 129.7)]
    [InlineData("4:3,8:1", "1", 185.7)]
    [InlineData("1/0:1", "3/4", 118.0)]
    [InlineData("2/0:3,6:1", "1-1/2", 462.8)]
    public void Wires_in_conduit(string wires, string size, double mm2)
    {
        var got = Ask("conduit", ("edition", Id), ("wires", wires), ("kind", "pvc40"));
        got["size"].ShouldBe(size);
        ((double)got["areaIn2"]!).ShouldBe(mm2 / 645.16, 0.0002);
        got.Derivation.Citation.ShouldContain("12-910");
        got.Derivation.Formula.ShouldContain("mm2");
    }

    [Theory]
    [MemberData(nameof(Service))]
    public void Service_load(string what, string[] r)
    {
        (string, string)[] loads = [.. r[2].Split(' ').Select(l => ("load", l))];
        var got = Ask("service", [("edition", Id), ("area-m2", r[0]), ("basement-m2", r[1]), .. loads]);
        $"{got["va"]}".ShouldBe(r[3], what);
    }

    [Theory]
    [MemberData(nameof(Box))]
    public void Room_in_a_box(string what, string[] r)
    {
        var got = Ask("box", ("edition", Id), ("wires", r[0]), ("grounds", r[1]), ("devices", r[2]), ("connectors", r[3]));
        Convert.ToString(got["volume"], CultureInfo.InvariantCulture).ShouldBe(r[4], what);
    }

    [Theory]
    [MemberData(nameof(Ground))]
    public void Bonding_wire(string what, string[] r) =>
        EquipmentGround
            .For(int.Parse(r[0], CultureInfo.InvariantCulture), WireSize.Parse(r[1]), WireSize.Parse(r[2]), Canada)
            .ShouldBe(WireSize.Parse(r[3]), what);

    [Theory]
    [InlineData("899mm", 0)]
    [InlineData("900mm", 1)]
    [InlineData("3.6m", 1)]
    [InlineData("3.61m", 2)]
    [InlineData("7.2m", 2)]
    [InlineData("7.21m", 3)]
    public void Receptacles_along_a_wall(string wall, int count) =>
        Ask("walls", ("family", Id), ("spaces", wall))["total"].ShouldBe(count, wall);

    [Theory]
    [InlineData(1800, 1)]
    [InlineData(1801, 2)]
    [InlineData(3600, 2)]
    [InlineData(3601, 3)]
    public void Receptacles_along_a_counter(int millimetres, int count) =>
        Cover
            .Fewest(Length.Millimetres(millimetres), Canada.Number("counterReachIn").Length, [], _ => 0, Length.Millimetres(10))
            .Length.ShouldBe(count);

    // What is stated in millimetres is so exactly, and told so.
    [Theory]
    [InlineData("wallReachIn", 1800, "1.8 m")]
    [InlineData("wallSpaceLeastIn", 900, "900 mm")]
    [InlineData("counterLeastIn", 300, "300 mm")]
    [InlineData("waterReachIn", 1500, "1.5 m")]
    [InlineData("hallReachIn", 4500, "4.5 m")]
    public void A_length_in_millimetres_is_exact(string name, int millimetres, string told)
    {
        Canada.Number(name).Length.ShouldBe(Length.Millimetres(millimetres));
        $"{Canada.Number(name)}".ShouldBe(told);
    }

    // A section of the other family under these rules would be believed.
    [Fact]
    public void No_rule_in_force_has_a_section_of_the_other_family()
    {
        var us = CodeLibrary.Newest;
        Canada
            .Rules.Where(r => r.Value.Applies && r.Value.Cite == us.Rules[r.Key].Cite && r.Value.Cite is not ("practice" or "plan"))
            .Select(r => r.Key)
            .ShouldBeEmpty();
        Canada.Rules.Values.Count(r => r.Doubt.Length > 0).ShouldBeGreaterThan(20);
        us.Rules.Values.ShouldAllBe(r => r.Doubt.Length == 0);
    }
}
