using Circuitum.Core.Analysis;
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
}
