using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Panels;

namespace Circuitum.Core.Tests;

/// <summary>Labels for a stranger, and legs as even as they can be.</summary>
public class LabelTests
{
    [Theory]
    [InlineData("Lights", "tells neither")]
    [InlineData("Misc.", "tells neither")]
    [InlineData("12", "too short")]
    [InlineData("12, 14", "tells neither")]
    [InlineData("Emma's bedroom receptacles", "person's name")]
    [InlineData("Jones' office lights", "person's name")]
    [InlineData("Bedroom 2 receptacles, north wall", null)]
    [InlineData("Half bath receptacles", null)]
    [InlineData("Kitchen counter receptacles, west wall", null)]
    public void A_label_tells_what_and_where_and_goes_by_nobody_s_name(string label, string? wrong)
    {
        if (wrong is null)
            LabelWriter.Unclear(label).ShouldBeNull();
        else
            LabelWriter.Unclear(label).ShouldNotBeNull().ShouldContain(wrong);
    }

    [Fact]
    public void An_unclear_label_of_a_person_is_found_and_the_written_ones_never_are()
    {
        var job = CheckTests.PlannedWhole;
        Analyzer.Analyze(job).Findings.ShouldNotContain(f => f.RuleId == "panel.clear" || f.RuleId == "panel.label");
        var own = Analyzer.Analyze(
            job with
            {
                Decisions = job.Decisions with
                {
                    Circuits = job.Decisions.Circuits.SetItem(0, job.Decisions.Circuits[0] with { Label = "Lights" }),
                },
            }
        );
        own.Findings.Single(f => f.RuleId == "panel.clear").Sentence.ShouldContain("\"Lights\", tells neither what nor where");
    }

    [Fact]
    public void A_label_names_nothing_that_its_circuit_has_not_in_300_houses()
    {
        foreach (var (seed, a) in HouseSet.All.Select(h => (h.Seed, h.House)))
        {
            foreach (var c in a.Circuits.Where(c => string.IsNullOrEmpty(c.Circuit.Label)))
            {
                bool Has(params BoxKind[] kinds) => c.Boxes.Any(b => kinds.Contains(b.Kind));
                var why = $"house {seed}, circuit {c.Number}: {c.Label}";
                if (c.Label.Contains("Lights"))
                    Has(BoxKind.Light).ShouldBeTrue(why);
                if (c.Label.Contains("eceptacle"))
                    Has(BoxKind.Receptacle, BoxKind.Appliance, BoxKind.Provision).ShouldBeTrue(why);
                if (c.Label.Contains("moke alarm"))
                    Has(BoxKind.SmokeAlarm).ShouldBeTrue(why);
            }
        }
    }

    [Fact]
    public void Two_circuits_of_one_room_are_told_apart_by_their_walls()
    {
        var room = Sample.Rect("den", RoomKind.Den, 0, 0, 20, 14);
        Box Box(string id, int wall) =>
            new()
            {
                Id = id,
                Room = "den",
                Kind = BoxKind.Receptacle,
                Wall = wall,
                Along = Measure.Length.Feet(4),
                Height = Measure.Length.Inches(16),
            };
        Circuit Circuit(int number, params string[] boxes) =>
            new()
            {
                Number = number,
                Purpose = CircuitPurpose.Receptacles,
                Boxes = [.. boxes.Select(b => new CircuitBox { Box = b })],
            };
        var job = Sample.House(room) with
        {
            Decisions = new() { Boxes = [Box("a", 0), Box("b", 1), Box("c", 2)], Circuits = [Circuit(1, "a", "b"), Circuit(2, "c")] },
        };
        LabelWriter
            .Write(Geometry.HouseShape.Of(job))
            .OrderBy(l => l.Key)
            .Select(l => l.Value)
            .ShouldBe(["den receptacles, east and north walls", "den receptacles, south wall"]);

        // On the same walls nothing is left but to count.
        var same = job with { Decisions = job.Decisions with { Boxes = [Box("a", 0), Box("b", 0), Box("c", 0)] } };
        LabelWriter
            .Write(Geometry.HouseShape.Of(same))
            .OrderBy(l => l.Key)
            .Select(l => l.Value)
            .ShouldBe(["den receptacles, 1 of 2", "den receptacles, 2 of 2"]);
    }

    [Theory]
    [InlineData(LegBalanceBy.Connected)]
    [InlineData(LegBalanceBy.Expected)]
    public void Legs_are_balanced_by_what_is_connected_or_by_what_is_expected(LegBalanceBy by)
    {
        var job = CheckTests.PlannedWhole;
        var a = Analyzer.Analyze(Planner.PlanSpaces(job with { Preferences = job.Preferences with { LegBalance = by } }, afresh: true));
        var ones = a
            .Schedule.Where(r => r.Circuit is { Poles: 1 })
            .Select(r => (int)Math.Round((by == LegBalanceBy.Expected ? r.Circuit!.Expected.Load : r.Circuit!.Load.Connected).Value))
            .ToList();
        var least = Enumerable
            .Range(0, 1 << ones.Count)
            .Where(m => Math.Abs((2 * System.Numerics.BitOperations.PopCount((uint)m)) - ones.Count) <= 2)
            .Min(m => Math.Abs(ones.Select((va, i) => (m >> i & 1) == 1 ? va : -va).Sum()));
        var legs = by == LegBalanceBy.Expected ? a.Panels[0].Expected : a.Lines;
        legs.Gap.Value.ShouldBeLessThanOrEqualTo(least + ones.Count);
    }

    [Fact]
    public void Of_divisions_with_the_same_gap_the_one_is_taken_that_is_even_by_what_is_expected()
    {
        // Six alike by what is connected; by what is expected two are large.
        var panel = new Panel { Id = "p", Spaces = 8 };
        BreakerNeed[] needs =
        [
            .. new[] { 900, 100, 100, 900, 100, 100 }.Select((second, i) => new BreakerNeed(i + 1, 1, 20, 1500, Second: second)),
        ];
        var placed = SpacePlan.Fill(panel, [], needs, PanelOrder.ByNumber);
        int Gap(Func<BreakerNeed, int> of) =>
            Math.Abs(placed.Sum(s => of(needs[s.Circuit - 1]) * (CodeLibrary.Newest.Supply.LineOf(s.Space) == 0 ? 1 : -1)));
        (Gap(n => n.Va), Gap(n => n.Second)).ShouldBe((0, 0));
    }

    [Fact]
    public void What_is_expected_is_a_share_of_each_load_and_explained()
    {
        var a = Analyzer.Analyze(CheckTests.PlannedWhole);
        foreach (var c in a.Circuits)
        {
            c.Expected.Load.Value.ShouldBeInRange(0, c.Load.Connected.Value + 0.01);
            a.Why($"circuit.{c.Number}.expected")!.Steps.ShouldNotBeEmpty();
        }

        var lights = a.Circuits.First(c =>
            c.Circuit.Purpose == CircuitPurpose.Lighting && c.Boxes.All(b => b.Kind is BoxKind.Light or BoxKind.Switch)
        );
        lights.Expected.Load.Value.ShouldBe(lights.Load.Connected.Value / 2, 0.01);
        a.Circuits.First(c => c.Circuit.Purpose == CircuitPurpose.SmallAppliance).Expected.Load.Value.ShouldBe(450, 0.01);
    }

    [Fact]
    public void Many_rooms_are_told_in_one_breath()
    {
        string[] names = ["Attic den", "Bedroom 1", "Bedroom 2", "Bedroom 3", "Hall bath", "Upper hall", "Sewing room"];
        var rooms = names.Select((n, i) => Sample.Rect($"r{i}", RoomKind.Bedroom, 15 * i, 0, 12, 12) with { Name = n }).ToArray();
        var boxes = names
            .Select(
                (_, i) =>
                    new Box
                    {
                        Id = $"l{i}",
                        Room = $"r{i}",
                        Kind = BoxKind.Light,
                        At = Sample.P((15 * i) + 6, 6),
                    }
            )
            .ToList();
        string Label(params int[] lit)
        {
            var job = Sample.House(rooms) with
            {
                Decisions = new()
                {
                    Boxes = [.. boxes],
                    Circuits =
                    [
                        new Circuit
                        {
                            Number = 1,
                            Purpose = CircuitPurpose.Lighting,
                            Boxes = [.. lit.Select(i => new CircuitBox { Box = $"l{i}" })],
                        },
                    ],
                },
            };
            return LabelWriter.Write(Geometry.HouseShape.Of(job))[1];
        }

        Label(0, 1, 2, 3).ShouldBe("Lights: Attic den, Bedroom 1, Bedroom 2 and Bedroom 3");
        Label(0, 1, 2, 3, 4, 5, 6).ShouldBe("Lights: First floor");
        Label(1, 2, 3, 4, 5).ShouldBe("Lights: Bedrooms 1, 2 and 3, Hall bath and Upper hall");
        LabelWriter.Unclear(Label(1, 2, 3, 4, 5)).ShouldBeNull();
    }
}
