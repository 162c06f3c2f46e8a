using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Routing;

namespace Circuitum.Core.Tests;

/// <summary>
/// Cables as trees, alarms by themselves, one supply to a building, ways inside, risers: over three hundred houses, and one by one.
/// </summary>
public partial class RuleWiringTests
{
    public static TheoryData<string> Editions => [.. CodeLibrary.IdsOf("us")];

    private static void EachHouse(Func<JobAnalysis, IEnumerable<string>> broken) =>
        HouseSet.All.SelectMany(h => broken(h.House).Select(b => $"house {h.Seed}: {b}")).Take(10).ShouldBeEmpty();

    [Fact]
    public void The_cables_of_every_circuit_are_a_tree() =>
        EachHouse(a =>
            a.Circuits.SelectMany(c =>
            {
                var reached = new HashSet<string>();
                var wrong = new List<string>();
                foreach (var segment in c.Run.Segments)
                {
                    if (segment.From is null ? reached.Count > 0 : !reached.Contains(segment.From))
                        wrong.Add($"circuit {c.Number}: {segment.From} feeds {segment.To} before it is fed");
                    if (!reached.Add(segment.To))
                        wrong.Add($"circuit {c.Number}: {segment.To} is fed twice");
                }

                var pairs = c.Run.Segments.Where(h => h.From is not null).Select(h => (h.From!, h.To)).ToHashSet();
                wrong.AddRange(
                    c.Run.Beside.Where(h => !pairs.Contains((h.From!, h.To)) && !pairs.Contains((h.To, h.From!)))
                        .Select(h => $"circuit {c.Number}: {h.From} to {h.To} closes a ring")
                );
                reached.RemoveWhere(b => a.Boxes[b].Serves is not null);
                if (!reached.SetEquals(c.Circuit.Boxes.Select(b => b.Box)))
                    wrong.Add($"circuit {c.Number} does not reach all its boxes");
                return wrong;
            })
        );

    [Fact]
    public void No_cable_holds_more_than_four_wires_and_every_switch_has_a_neutral() =>
        EachHouse(a =>
            a.Circuits.SelectMany(c =>
                c.Run.Cables.Where(h => h.Conductors > 4)
                    .Select(h => $"{h.From} to {h.To} takes {h.Conductors} wires")
                    .Concat(
                        c.Boxes.Where(b => b.Gangs.Length > 0 && BoxCables.In(c, b.Id).All(e => e.Conductors < 2))
                            .Select(b => $"{b.Id} has no neutral")
                    )
            )
        );

    [Fact]
    public void Alarms_are_joined_by_a_third_wire_and_feed_nothing_else() =>
        EachHouse(a =>
            a.Circuits.SelectMany(c =>
                    c.Run.Cables.Where(h => h.From is { } f && a.Boxes[f].Kind == BoxKind.SmokeAlarm)
                        .Where(h =>
                            a.Boxes[h.To].Kind != BoxKind.SmokeAlarm
                            || (a.Job.Preferences.AlarmJoin == AlarmJoin.Wired ? h.Conductors != 3 : h.Conductors != 2)
                        )
                        .Select(h => $"{h.From} feeds {h.To} by {h.Conductors} wires")
                )
                .Concat(
                    a.Circuits.Where(c =>
                            c.Boxes.Count(b => b.Kind == BoxKind.SmokeAlarm) is > 1 and var n
                            && c.Run.Segments.Count(h => h.From is { } f && a.Boxes[f].Kind == BoxKind.SmokeAlarm) != n - 1
                        )
                        .Select(c => $"the alarms of circuit {c.Number} do not hang together")
                )
        );

    [Fact]
    public void Power_goes_to_another_storey_once() =>
        EachHouse(a =>
            a.Circuits.Where(c => c.Circuit.Run is null)
                .SelectMany(c =>
                {
                    string Storey(string box) => a.House[a.Boxes[box].Room].Room.Storey;
                    var risers = c.Run.Segments.Count(h =>
                        h is { From: not null, Use: CableUse.Power }
                        && a.Boxes[h.To].Kind != BoxKind.SmokeAlarm
                        && Storey(h.From) != Storey(h.To)
                    );
                    var storeys = c.Boxes.Select(b => Storey(b.Id)).Distinct().Count();
                    return risers > storeys - 1
                        ? [$"circuit {c.Number} rises {risers} times over {storeys} storeys"]
                        : Array.Empty<string>();
                })
        );

    [Fact]
    public void A_building_with_a_panel_has_one_supply() =>
        EachHouse(a =>
            a.Panels.Any(p => p.Panel.Id == "shop")
                ? a
                    .Findings.Where(f => f.RuleId == "feeder.oneSupply")
                    .Select(f => f.Sentence)
                    .Concat(
                        a.Circuits.Where(c => c.Boxes.Any(b => b.Room == "shop") && c.Panel != "shop")
                            .Select(c => $"circuit {c.Number} comes from {c.Panel}")
                    )
            : a.Circuits.Count(c => c.Boxes.Any(b => b.Room == "shop" && b.Appliance is null)) > 1
                ? ["the lights and receptacles of the shop are on several circuits"]
            : []
        );

    [Fact]
    public void Nothing_inside_a_house_is_fed_around_its_outside() =>
        EachHouse(a => a.Findings.Where(f => f.RuleId == "wire.noWay").Select(f => f.Sentence));

    [Theory, MemberData(nameof(Editions))]
    public void A_second_supply_is_a_must_finding(string edition)
    {
        var job = Planner.PlanAll(
            Sample.WithWorkshop() with
            {
                CodeEdition = edition,
                Preferences = new() { LargeAppliances = LargeAppliances.MainPanel },
            }
        );
        Analyzer.Analyze(job).Findings.ShouldNotContain(f => f.RuleId == "feeder.oneSupply");
        var saw = job
            .Decisions.Circuits.First(c => c.Boxes.Any(b => job.Decisions.Boxes.First(x => x.Id == b.Box).Appliance == "saw0"))
            .Number;
        var moved = new Commands.MoveToPanel(saw, "main").Apply(job).Job!;
        var a = Analyzer.Analyze(moved);
        a.Findings.ShouldContain(f =>
            f.RuleId == "feeder.oneSupply" && f.Severity == Severity.Must && f.Sentence.Contains($"circuit {saw}", StringComparison.Ordinal)
        );
    }

    [Fact]
    public void A_workshop_without_a_panel_is_told_to_have_one() =>
        Analyzer
            .Analyze(Planner.PlanAll(Sample.WithWorkshop(ownPanel: false)))
            .Findings.Single(f => f.RuleId == "feeder.oneSupply")
            .Sentence.ShouldContain("Put a panel there");

    [Theory]
    [InlineData(60, true)]
    [InlineData(30, false)]
    public void The_disconnect_of_a_building_is_large_enough(int main, bool passes)
    {
        var job = Sample.WithWorkshop();
        var panels = job.Panels.Select(p => p.Id == "shop" ? p with { MainBreaker = main } : p);
        Analyzer
            .Analyze(Planner.PlanAll(job with { Panels = [.. panels] }))
            .Findings.Any(f => f.RuleId == "feeder.rating")
            .ShouldBe(!passes);
    }

    [Fact]
    public void A_ring_that_is_in_the_frame_is_found()
    {
        var job = CheckTests.PlannedWhole;
        var c = Analyzer.Analyze(job).Circuits.First(c => c.Run.Segments.Length > 3 && c.Circuit.Purpose == CircuitPurpose.Receptacles);
        LockedCable[] cables =
        [
            .. c.Run.Segments.Select(h => new LockedCable
            {
                From = h.From,
                To = h.To,
                Use = h.Use,
            }),
            new LockedCable { From = c.Run.Segments[^1].To, To = c.Run.Segments[0].To },
        ];
        var locked = job with
        {
            Decisions = job.Decisions with { Circuits = job.Decisions.Circuits.Replace(c.Circuit, c.Circuit with { Run = [.. cables] }) },
        };
        Analyzer.Analyze(locked).Findings.ShouldContain(f => f.RuleId == "circuit.parallel" && f.Severity == Severity.Must);
        Analyzer.Analyze(job).Findings.ShouldNotContain(f => f.RuleId == "circuit.parallel");
    }

    [Fact]
    public void A_garage_stands_on_a_slab_unless_the_job_says_otherwise()
    {
        // A house over a crawl space, a garage beside it with the panel on its far wall.
        Room[] rooms = [Sample.Rect("living", RoomKind.Living, 0, 0, 20, 12), Sample.Rect("garage", RoomKind.Garage, 20.375, 0, 20, 20)];
        Job With(Under? under) =>
            Sample.House([rooms[0], rooms[1] with { Under = under }]) with
            {
                Frame = new() { Under = Under.CrawlSpace },
                Preferences = new() { RunBy = RunBy.Underfloor },
                Panels =
                [
                    new Panel
                    {
                        Id = "main",
                        Name = "Main panel",
                        Room = "garage",
                        Wall = 1,
                        Along = Length.Feet(10),
                        Spaces = 30,
                        MainBreaker = 150,
                    },
                ],
                Decisions = new()
                {
                    Boxes =
                    [
                        new Box
                        {
                            Id = "r1",
                            Kind = BoxKind.Receptacle,
                            Room = "living",
                            Wall = 0,
                            Along = Length.Feet(3),
                            Height = Length.Inches(16),
                        },
                    ],
                },
            };
        CableRoute Home(Under? under) => new CableRouter(HouseShape.Of(With(under))).Route(new CableSegment(null, "r1", default, default));
        Home(null).InWords.ShouldBe("up, across, down");
        Home(Under.CrawlSpace).InWords.ShouldBe("down, across, up");
        Home(null).Pieces.ShouldNotContain(p => p.Kind == WayKind.Outside);
    }
}
