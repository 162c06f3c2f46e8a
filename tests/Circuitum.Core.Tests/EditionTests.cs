using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Protection;

namespace Circuitum.Core.Tests;

/// <summary>What the editions of 2017, 2020 and 2023 ask for differently, rule by rule.</summary>
public partial class EditionTests
{
    private static Job Kitchen(string edition, double width, double depth, bool peninsula = false) =>
        Sample.House(Sample.Rect("kitchen", RoomKind.Kitchen, 0, 0, 20, 16)) with
        {
            CodeEdition = edition,
            Openings = [Sample.Door("kitchen", 2, 1)],
            Counters =
            [
                new Counter
                {
                    Id = "c",
                    Room = "kitchen",
                    Peninsula = peninsula,
                    Spot = peninsula
                        ? new Spot
                        {
                            Wall = 0,
                            From = Length.Feet(8),
                            Width = Length.Inches(width),
                            Depth = Length.Inches(depth),
                        }
                        : new Spot
                        {
                            At = Sample.P(7, 5),
                            Width = Length.Inches(width),
                            Depth = Length.Inches(depth),
                        },
                },
            ],
        };

    // By hand: 6 x 3 ft = 18 sq ft: first 9, then one for 9 of 18: 2. 27 sq ft: 2; 27.1: 3. 24 x 11 in is under the size of 2017.
    [Theory]
    [InlineData("us-2023", 72, 36, 0, 1)]
    [InlineData("us-2020", 72, 36, 2, 0)]
    [InlineData("us-2020", 36, 36, 1, 0)]
    [InlineData("us-2020", 108, 36, 2, 0)]
    [InlineData("us-2020", 108.5, 36, 3, 0)]
    [InlineData("us-2017", 108, 36, 1, 0)]
    [InlineData("us-2017", 24, 12, 1, 0)]
    [InlineData("us-2017", 24, 11, 0, 0)]
    public void An_island_gets_what_its_edition_asks(string edition, double width, double depth, int receptacles, int provisions)
    {
        var job = Planner.PlanAll(Kitchen(edition, width, depth));
        var on = job
            .Decisions.Boxes.Where(b => b.Room == "kitchen" && b.Wall is null && b.Kind is BoxKind.Receptacle or BoxKind.Provision)
            .ToList();
        on.Count(b => b.Kind == BoxKind.Receptacle).ShouldBe(receptacles);
        on.Count(b => b.Kind == BoxKind.Provision).ShouldBe(provisions);
        Analyzer.Analyze(job).Findings.ShouldNotContain(f => f.RuleId == "box.island");
        var bare = Analyzer.Analyze(job.Without(b => on.Any(o => o.Id == b.Id)));
        bare.Findings.Any(f => f.RuleId == "box.island").ShouldBe(receptacles + provisions > 0);
    }

    [Fact]
    public void A_peninsula_has_one_near_its_outer_end_in_2020()
    {
        var job = Planner.PlanAll(Kitchen("us-2020", 36, 72, peninsula: true));
        Analyzer.Analyze(job).Findings.ShouldNotContain(f => f.RuleId == "box.island");
        var shape = HouseShape.Of(job)["kitchen"];
        Box Near(double fromWall) =>
            new()
            {
                Id = "kitchen.x9",
                Kind = BoxKind.Receptacle,
                Room = "kitchen",
                At = shape.On(0, Length.Feet(9.5), fromWall),
                Height = Length.Inches(28),
                By = Origin.Person,
            };
        var on = job.Decisions.Boxes.Where(b => b.Wall is null && b.Kind == BoxKind.Receptacle).Select(b => b.Id).ToHashSet();
        bool Told(params double[] places) =>
            Analyzer
                .Analyze(
                    job.Boxes(all =>
                        [.. all.Where(b => !on.Contains(b.Id)), .. places.Select((p, i) => Near(p) with { Id = $"kitchen.x{i}" })]
                    )
                )
                .Findings.Any(f => f.RuleId == "box.island" && f.Sentence.Contains("outer end", StringComparison.Ordinal));
        Told(20, 40).ShouldBeTrue("40 in out leaves 32 in to the end");
        Told(20, 60).ShouldBeFalse();
    }

    [Theory]
    [InlineData("us-2017", 30, false)]
    [InlineData("us-2017", 20, true)]
    [InlineData("us-2020", 30, false)]
    [InlineData("us-2020", 20, true)]
    [InlineData("us-2023", 30, true)]
    [InlineData("us-2023", 37, false)]
    public void Below_the_top_of_an_island(string edition, double height, bool told)
    {
        var job = Kitchen(edition, 36, 36) with
        {
            Decisions = new Decisions
            {
                Boxes =
                [
                    new Box
                    {
                        Id = "kitchen.r1",
                        Kind = BoxKind.Receptacle,
                        Room = "kitchen",
                        At = Sample.P(8, 6),
                        Height = Length.Inches(height),
                        By = Origin.Person,
                    },
                ],
            },
        };
        Analyzer
            .Analyze(job)
            .Findings.Any(f => f.RuleId == "box.island" && f.Sentence.Contains("below", StringComparison.Ordinal))
            .ShouldBe(told);
    }

    // The zone of 3 ft is of 2020; in 2017 only inside and over the tub is barred.
    [Theory]
    [InlineData("us-2017", 30, false)]
    [InlineData("us-2017", 0, true)]
    [InlineData("us-2020", 30, true)]
    [InlineData("us-2020", 40, false)]
    [InlineData("us-2023", 30, true)]
    public void Tub_zone(string edition, double inches, bool told)
    {
        var job = Sample.House(Sample.Rect("bath", RoomKind.Bathroom, 0, 0, 12, 9)) with
        {
            CodeEdition = edition,
            Fixtures =
            [
                new Fixture
                {
                    Id = "tub",
                    Kind = FixtureKind.Tub,
                    Room = "bath",
                    Spot = new Spot
                    {
                        Wall = 0,
                        From = Length.Zero,
                        Width = Length.Feet(5),
                        Depth = Length.Inches(30),
                    },
                },
            ],
            Decisions = new Decisions
            {
                Boxes =
                [
                    new Box
                    {
                        Id = "bath.r1",
                        Kind = BoxKind.Receptacle,
                        Room = "bath",
                        Wall = 0,
                        Along = Length.Feet(5) + Length.Inches(inches),
                        Height = Length.Inches(44),
                    },
                ],
            },
        };
        Analyzer.Analyze(job).Findings.Any(f => f.RuleId == "box.tub").ShouldBe(told);
    }

    [Theory]
    [InlineData("us-2017", false)]
    [InlineData("us-2020", true)]
    [InlineData("us-2023", true)]
    public void A_fan_box_is_wanted_where_a_fan_is_likely(string edition, bool fan)
    {
        var job = Planner.PlanAll(
            Sample.House(Sample.Rect("bed", RoomKind.Bedroom, 0, 0, 12, 12)) with
            {
                CodeEdition = edition,
                Openings = [Sample.Door("bed", 2, 1)],
            }
        );
        var light = job.Decisions.Boxes.Single(b => b.Kind == BoxKind.Light && !b.Outside);
        Analyzer.Analyze(job).Specs[light.Id].FanRated.ShouldBe(fan);
        var plain = job.Change(b => b.Id == light.Id, b => b with { Size = "nm-round-20" });
        Analyzer.Analyze(plain).Findings.Any(f => f.RuleId == "box.fan").ShouldBe(fan);
    }
}
