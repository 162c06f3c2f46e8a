using Circuitum.Core.Analysis;
using Circuitum.Core.Commands;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Takeoff;

namespace Circuitum.Core.Tests;

/// <summary>What others are told before they build, and what goes into the van.</summary>
public sealed class BuilderTests
{
    private static readonly JobAnalysis Flat = HouseDeriver.Derive(
        Planner.PlanAll(
            Sample.Flat() with
            {
                Walls =
                [
                    new WallFact
                    {
                        Room = "bedroom",
                        Wall = 1,
                        Build = WallBuild.InsulatedPanel,
                        ChaseHeight = Length.Inches(16),
                        ChaseStations = Length.Feet(4),
                    },
                    new WallFact
                    {
                        Room = "garage",
                        Wall = 0,
                        Build = WallBuild.MetalStud,
                    },
                ],
            }
        )
    );

    [Fact]
    public void The_maker_of_insulated_panels_gets_every_box_of_the_wall_and_a_way_for_its_cable()
    {
        var wall = BuilderSheet.Of(Flat).Panels.ShouldHaveSingleItem();
        wall.Where.ShouldStartWith("bedroom, east wall");
        var boxes = Flat.Job.Decisions.Boxes.Where(b => b.Room == "bedroom" && b.Wall == 1).ToList();
        boxes.ShouldNotBeEmpty();
        wall.Boxes.Select(b => b.Box).ShouldBe(boxes.Select(b => b.Id), ignoreOrder: true);
        foreach (var box in wall.Boxes)
        {
            box.Station.ShouldBe(
                BoxSchedule.FromLeft(Flat.House["bedroom"], boxes.First(b => b.Id == box.Box), 1).RoundTo(Length.Inches(0.5))
            );
            (wall.Upright.Length + wall.Level.Length).ShouldBeGreaterThan(0, box.Box);
        }

        // What comes in from over or under comes through a hole.
        var through = WallCables
            .Of(Flat, Flat.House["bedroom"], 1)
            .Cables.Count(c => c.Path.Any(p => p.Height < Length.Zero || p.Height > wall.Tall));
        wall.Holes.Sum(h => h.Cables).ShouldBe(through);
        wall.StatedStations.ShouldBe(Length.Feet(4));
    }

    [Fact]
    public void The_framer_is_told_of_fans_lights_cabinets_and_boxes_that_a_stud_is_in_the_way_of()
    {
        var lines = BuilderSheet.Of(Flat).Frame;
        lines.Count(l => l.For.Contains("fan", StringComparison.Ordinal)).ShouldBe(Flat.Specs.Values.Count(s => s.FanRated));
        lines.Count(l => l.What == "No joist").ShouldBe(Flat.Job.Decisions.Boxes.Count(b => b.Fixture == LightStyle.Recessed));
        lines.Count(l => l.What == "Block").ShouldBe(Flat.Specs.Values.Count(s => s.Stud?.Needs == "bar or block"));
        lines.ShouldContain(l => l.For.StartsWith(Flat.Panel!.Name, StringComparison.Ordinal));
    }

    [Fact]
    public void The_vans_of_all_stages_and_of_all_rooms_hold_all_of_the_material()
    {
        var all = HouseMaterial.Of(Flat);
        var rooms = Flat.Job.Rooms.Select(r => r.Id).ToList();
        foreach (var stage in Enum.GetValues<BuyStage>())
        {
            var whole = VanList.Of(Flat, stage);
            whole
                .Material.Select(l => (l.Item.Key, l.Quantity))
                .ShouldBe(all.Lines.Where(l => l.Stage == stage).Select(l => (l.Item.Key, l.Quantity)));
            rooms.Sum(r => VanList.Of(Flat, stage, new HashSet<string> { r }).Hours).ShouldBe(whole.Hours, 1e-9);
            whole.Tools.ShouldBeUnique();
        }

        VanList.Of(Flat, BuyStage.RoughIn).Tools.ShouldContain("hammer");
        VanList
            .Of(Flat, BuyStage.RoughIn)
            .Reels.Sum(r => r.Reel.Cuts.Length)
            .ShouldBe(CutPlan.Of(Flat).Sum(p => p.Reels.Sum(r => r.Cuts.Length)));
    }

    [Fact]
    public void Whoever_builds_before_is_told_and_told_again_when_the_sheet_changes()
    {
        static List<Finding> Found(Job job) => [.. Analyzer.Analyze(job).Findings.Where(f => f.RuleId == "plan.builders")];
        var first = Found(Flat.Job).ShouldHaveSingleItem();
        first.Sentence.ShouldContain("while they still can");
        var told = first.Fix!.Edit.Apply(Flat.Job).Job!;
        Found(told).ShouldBeEmpty();

        // What is on no sheet changes nothing; a box of the wall does.
        Found(told with { Name = "another" }).ShouldBeEmpty();
        var box = told.Decisions.Boxes.First(b => b.Room == "bedroom" && b.Wall == 1);
        var moved = new MoveBox(box.Id, 1, box.Along + Length.Feet(1), null).Apply(told).Job!;
        Found(moved).ShouldHaveSingleItem().Sentence.ShouldContain("no longer what the builders were told");
        Found(new TellBuilders(true).Apply(moved).Job!).ShouldBeEmpty();
        Found(new TellBuilders(false).Apply(told).Job!).ShouldHaveSingleItem();
    }

    [Fact]
    public void A_house_of_wooden_studs_has_nobody_to_tell() =>
        Analyzer.Analyze(Planner.PlanAll(Sample.Whole())).Findings.ShouldNotContain(f => f.RuleId == "plan.builders");

    // Every wall of the inside stated as panels: no box is told twice, none beyond its wall, and none that stands in one is left out.
    [Fact]
    public void In_twenty_houses_of_panels_every_box_is_told_once_at_a_station_of_its_wall()
    {
        foreach (var (seed, made) in HouseSet.All.Take(20))
        {
            var inside = made.House.Rooms.Where(r => !r.Room.Kind.OpenAir()).ToList();
            var a = HouseDeriver.Derive(
                made.Job with
                {
                    Walls =
                    [
                        .. inside.SelectMany(r =>
                            r.Walls.Select(
                                (_, w) =>
                                    new WallFact
                                    {
                                        Room = r.Room.Id,
                                        Wall = w,
                                        Build = WallBuild.InsulatedPanel,
                                    }
                            )
                        ),
                    ],
                }
            );
            var sheet = BuilderSheet.Of(a).Panels;
            foreach (var wall in sheet)
                wall.Boxes.ShouldAllBe(b => b.Station >= Length.Zero && b.Station <= wall.Long, $"house {seed}, {wall.Where}");
            var told = sheet.SelectMany(w => w.Boxes).Select(b => b.Box).ToList();
            told.ShouldBeUnique();
            told.ShouldBe(
                a.Job.Decisions.Boxes.Where(b =>
                        b.Wall is { } w
                        && (
                            !a.House[b.Room].Room.Kind.OpenAir()
                            || WallBody
                                .Of(a.House, a.House[b.Room], w)
                                .Facing.Any(f => !f.Room.Room.Kind.OpenAir() && b.Along >= f.From && b.Along <= f.To)
                        )
                    )
                    .Select(b => b.Id),
                ignoreOrder: true,
                $"house {seed}"
            );
        }
    }
}
