using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Takeoff;

namespace Circuitum.Core.Tests;

/// <summary>What is joined in a box, against the wires counted by hand; and which connectors it takes.</summary>
public sealed class SpliceTests
{
    private static Box Light(string id, double x) =>
        new()
        {
            Id = id,
            Kind = BoxKind.Light,
            Room = "a",
            At = Sample.P(x, 5),
            Height = Length.Feet(8),
        };

    private static Box Switch(string id, double along, params SwitchGang[] gangs) =>
        new()
        {
            Id = id,
            Kind = BoxKind.Switch,
            Room = "a",
            Wall = 0,
            Along = Length.Feet(along),
            Height = Length.Inches(46),
            Gangs = [.. gangs],
        };

    private static Box Receptacle(string id, double along) =>
        new()
        {
            Id = id,
            Kind = BoxKind.Receptacle,
            Room = "a",
            Wall = 0,
            Along = Length.Feet(along),
            Height = Length.Inches(16),
        };

    private static SwitchGang To(params string[] lights) => new() { Lights = [.. lights] };

    private static JobAnalysis House(Preferences p, CircuitPurpose purpose, params Box[] boxes) =>
        HouseDeriver.Derive(
            Sample.House(Sample.Rect("a", RoomKind.Office, 0, 0, 40, 10)) with
            {
                Frame = new() { Under = Under.Slab },
                Preferences = p with { ArcFault = ArcFaultPlace.Breaker },
                Panels =
                [
                    new Panel
                    {
                        Id = "main",
                        Name = "Main panel",
                        Room = "a",
                        Wall = 3,
                        Along = Length.Feet(5),
                        Spaces = 30,
                        MainBreaker = 150,
                    },
                ],
                Decisions = new()
                {
                    Boxes = [.. boxes],
                    Circuits =
                    [
                        new Circuit
                        {
                            Number = 1,
                            Purpose = purpose,
                            Boxes = [.. boxes.Select(b => new CircuitBox { Box = b.Id })],
                        },
                    ],
                },
            }
        );

    private static string Words(JobAnalysis a, string box) => string.Join("; ", BoxSplices.Of(a, a.Boxes[box]).Select(s => s.InWords));

    private static string Joined(JobAnalysis a, string box) =>
        string.Join(
            ", ",
            BoxSplices
                .Of(a, a.Boxes[box])
                .SelectMany(s => Joining.Of(a.Job.Preferences, s))
                .GroupBy(j => j.Type.Id)
                .OrderBy(g => g.Key, StringComparer.Ordinal)
                .Select(g => $"{g.Sum(j => j.Count)} {g.Key}")
        );

    [Fact]
    public void A_switch_joins_neutrals_and_grounds_and_its_light_everything()
    {
        var a = House(new(), CircuitPurpose.Lighting, Switch("s1", 10, To("l1")), Light("l1", 12));
        Words(a, "s1").ShouldBe("ground: 2 x 14 and 1 tail; neutral: 2 x 14");
        Words(a, "l1").ShouldBe("ground: 1 x 14 and 1 tail; neutral: 1 x 14 and 1 tail; switched wire 1: 1 x 14 and 1 tail");
        Joined(a, "s1").ShouldBe("2 twist-s");
    }

    [Fact]
    public void Travelers_land_on_three_ways_and_pass_a_four_way()
    {
        var a = House(
            new(),
            CircuitPurpose.Lighting,
            Switch("s1", 10, To("l1")),
            Switch("s2", 20, To("l1")),
            Switch("s3", 30, To("l1")),
            Light("l1", 32)
        );
        foreach (var box in new[] { "s1", "s2", "s3" })
            Words(a, box).ShouldBe("ground: 2 x 14 and 1 tail; neutral: 2 x 14", box);
    }

    [Fact]
    public void Two_lights_on_one_switch_share_the_switched_wire_in_the_nearer_one()
    {
        var a = House(new(), CircuitPurpose.Lighting, Switch("s1", 10, To("l1", "l2")), Light("l1", 14), Light("l2", 24));
        Words(a, "l1").ShouldBe("ground: 2 x 14 and 1 tail; neutral: 2 x 14 and 1 tail; switched wire 1: 2 x 14 and 1 tail");
        Joined(a, "l1").ShouldBe("3 twist-s");
    }

    [Fact]
    public void Power_at_the_light_goes_down_to_the_switch_and_comes_back_switched()
    {
        var a = House(new() { SwitchLoops = SwitchLoops.LightFirst }, CircuitPurpose.Lighting, Switch("s1", 10, To("l1")), Light("l1", 12));
        Words(a, "l1").ShouldBe("ground: 2 x 14 and 1 tail; hot: 2 x 14; neutral: 2 x 14 and 1 tail; switched wire 1: 1 x 14 and 1 tail");

        // The neutral waits there for a control that needs one.
        Words(a, "s1").ShouldBe("neutral: 1 x 14, capped");
    }

    [Theory]
    [InlineData(Connections.Pigtail, "ground: 2 x 12 and 1 tail; hot: 2 x 12 and 1 tail; neutral: 2 x 12 and 1 tail", "3 twist-m")]
    [InlineData(Connections.FeedThrough, "ground: 2 x 12 and 1 tail", "1 twist-m")]
    public void A_receptacle_on_the_way_is_on_a_pigtail_or_fed_through(Connections school, string splices, string connectors)
    {
        var a = House(
            new() { Connections = school, GeneralWire = GeneralWire.TwelveThroughout },
            CircuitPurpose.Receptacles,
            Receptacle("r1", 8),
            Receptacle("r2", 18)
        );
        a.Circuits[0].Protection.Devices.ShouldAllBe(d => d.Box == null);
        Words(a, "r1").ShouldBe(splices);
        Joined(a, "r1").ShouldBe(connectors);

        // At the end each wire has a terminal.
        Words(a, "r2").ShouldBe("");
    }

    [Fact]
    public void Grounds_go_by_their_own_school_and_ports_by_their_count()
    {
        var p = new Preferences
        {
            WireJoins = WireJoins.Ports,
            GroundJoins = GroundJoins.Green,
            GeneralWire = GeneralWire.TwelveThroughout,
        };
        Joined(House(p, CircuitPurpose.Receptacles, Receptacle("r1", 8), Receptacle("r2", 18)), "r1").ShouldBe("1 green, 2 push-3");
    }

    [Theory]
    [InlineData(WireJoins.TwistOn, "12 12 12 12 12", "1 twist-l")]
    [InlineData(WireJoins.TwistOn, "14 14", "1 twist-s")]
    [InlineData(WireJoins.TwistOn, "14", "1 twist-s")]
    [InlineData(WireJoins.TwistOn, "10 10 10", "1 twist-l")]
    [InlineData(WireJoins.TwistOn, "12 12 12 12 12 12 12 12 12", "2 twist-xl")]
    [InlineData(WireJoins.TwistOn, "6 6 6", "1 split-bolt")]
    [InlineData(WireJoins.Ports, "14", "1 push-2")]
    [InlineData(WireJoins.Ports, "12 12 12 12", "1 push-4")]
    [InlineData(WireJoins.Ports, "12 12 12 12 12 12 12", "2 push-6")]
    [InlineData(WireJoins.Ports, "12 12 12 12 12 12 12 12 12 12 12", "3 push-6")]
    [InlineData(WireJoins.Ports, "8 8", "1 split-bolt")]
    public void Connectors_by_size_class_and_by_ports(WireJoins school, string wires, string connectors)
    {
        var splice = new Splice(
            "hot",
            false,
            [.. wires.Split(' ').Select(w => WireSize.Awg(int.Parse(w, System.Globalization.CultureInfo.InvariantCulture)))],
            []
        );
        string.Join(", ", Joining.Of(new() { WireJoins = school }, splice).Select(j => $"{j.Count} {j.Type.Id}")).ShouldBe(connectors);
    }
}
