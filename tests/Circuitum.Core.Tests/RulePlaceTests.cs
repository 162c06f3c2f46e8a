using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Protection;

namespace Circuitum.Core.Tests;

/// <summary>Places by what stands in them, boxes as bodies, stairs flight by flight, and what cuts equipment off.</summary>
public class RulePlaceTests
{
    public static TheoryData<string> Editions => [.. CodeLibrary.EditionIds];

    private static JobAnalysis Plan(Job job) => Analyzer.Analyze(Planner.PlanAll(job));

    private static Job Room(string edition, RoomKind kind, params Appliance[] appliances) =>
        Sample.House(Sample.Rect("place", kind, 0, 0, 14, 12)) with
        {
            CodeEdition = edition,
            Openings = [Sample.Door("place", 2, 1)],
            Appliances = [.. appliances],
        };

    private static string Needs(JobAnalysis a, string appliance) =>
        a.Job.Decisions.Boxes.Single(b => b.Appliance == appliance).Id is var id
            ? string.Join(' ', a.CircuitOf(id)!.Needs[id].Select(n => n.Kind == ProtectionKind.ArcFault ? "AF" : "GF").Distinct().Order())
            : "";

    [Theory]
    [InlineData(RoomKind.Utility)]
    [InlineData(RoomKind.Hallway)]
    [InlineData(RoomKind.Closet)]
    [InlineData(RoomKind.Garage)]
    [InlineData(RoomKind.Bathroom)]
    [InlineData(RoomKind.UnfinishedBasement)]
    public void A_washer_makes_a_laundry_area_wherever_it_stands(RoomKind kind)
    {
        foreach (var edition in CodeLibrary.EditionIds)
        {
            var a = Plan(Room(edition, kind, Sample.Thing("w", "washer", "place", 0, 2), Sample.Thing("d", "dryer", "place", 0, 6)));
            Needs(a, "w").ShouldBe("AF GF", $"washer, {edition}");
            Needs(a, "d").ShouldBe(edition == "us-2017" ? "" : "GF", $"dryer, {edition}");
            a.CircuitOf(a.Job.Decisions.Boxes.Single(b => b.Appliance == "w").Id)!.Circuit.Purpose.ShouldBe(CircuitPurpose.Laundry);
        }

        RoomUse
            .InLaundryArea(
                HouseShape.Of(Room("us-2023", RoomKind.Utility)),
                CodeLibrary.Edition("us-2023"),
                new Box
                {
                    Id = "x",
                    Kind = BoxKind.Receptacle,
                    Room = "place",
                    Wall = 0,
                }
            )
            .ShouldBeFalse();
    }

    [Theory]
    [InlineData("us-2017", false)]
    [InlineData("us-2020", false)]
    [InlineData("us-2023", true)]
    public void A_bar_with_a_sink_and_a_cooler_protects_all_its_receptacles_from_2023(string edition, bool needed)
    {
        var job = Room(edition, RoomKind.Recreation, Sample.Thing("cooler", "beverage-cooler", "place", 0, 1));
        job = job with
        {
            Fixtures =
            [
                new Fixture
                {
                    Id = "s",
                    Kind = FixtureKind.Sink,
                    Room = "place",
                    Spot = new Spot
                    {
                        Wall = 0,
                        From = Length.Feet(4),
                        Width = Length.Inches(20),
                        Depth = Length.Inches(18),
                    },
                },
            ],
        };
        var a = Plan(job);
        var far = a.Job.Decisions.Boxes.First(b => b.Kind == BoxKind.Receptacle && b.Wall == 2);
        a.CircuitOf(far.Id)!.Needs[far.Id].Any(n => n.RuleId == "protect.food").ShouldBe(needed);
    }

    [Theory, MemberData(nameof(Editions))]
    public void A_basin_and_a_shower_make_a_bathroom_of_a_bedroom_corner(string edition)
    {
        Fixture At(string id, FixtureKind kind, double feet) =>
            new()
            {
                Id = id,
                Kind = kind,
                Room = "place",
                Spot = new Spot
                {
                    Wall = 0,
                    From = Length.Feet(feet),
                    Width = Length.Feet(2),
                    Depth = Length.Feet(2),
                },
            };
        Job With(params Fixture[] fixtures) => Room(edition, RoomKind.Bedroom) with { Fixtures = [.. fixtures] };
        bool Needed(Job job) =>
            Plan(job) is var a
            && a.Job.Decisions.Boxes.Where(b => b.Kind == BoxKind.Receptacle && b.Wall == 2 && !b.Outside)
                .All(b => a.CircuitOf(b.Id)!.Needs[b.Id].Any(n => n.RuleId == "protect.bathroom"));
        Needed(With(At("b", FixtureKind.Basin, 1), At("s", FixtureKind.Shower, 5))).ShouldBeTrue();
        Needed(With(At("b", FixtureKind.Basin, 1))).ShouldBeFalse();
    }

    [Theory]
    [InlineData("us-2017", false)]
    [InlineData("us-2020", true)]
    [InlineData("us-2023", true)]
    public void A_bedroom_under_grade_is_in_a_basement(string edition, bool needed)
    {
        Job At(double floor) =>
            Room(edition, RoomKind.Bedroom) with
            {
                Storeys =
                [
                    new Storey
                    {
                        Id = "first",
                        Name = "Lowest floor",
                        Floor = Length.Feet(floor),
                    },
                ],
            };
        bool Needed(Job job) =>
            Plan(job) is var a
            && a.Job.Decisions.Boxes.Where(b => b.Kind == BoxKind.Receptacle && !b.Outside)
                .All(b => a.CircuitOf(b.Id)!.Needs[b.Id].Any(n => n.RuleId == "protect.basement"));
        Needed(At(-9)).ShouldBe(needed);
        Needed(At(0)).ShouldBeFalse();
    }

    [Fact]
    public void In_a_studio_the_counter_is_a_kitchens()
    {
        var job = Room("us-2023", RoomKind.Living, Sample.Thing("range", "range", "place", 0, 6)) with
        {
            Counters =
            [
                new Counter
                {
                    Id = "c",
                    Room = "place",
                    Spot = new Spot
                    {
                        Wall = 0,
                        From = Length.Zero,
                        Width = Length.Feet(6),
                        Depth = Length.Inches(25),
                    },
                },
            ],
            Fixtures =
            [
                new Fixture
                {
                    Id = "s",
                    Kind = FixtureKind.Sink,
                    Room = "place",
                    Spot = new Spot
                    {
                        Wall = 0,
                        From = Length.Feet(2),
                        Width = Length.Inches(24),
                        Depth = Length.Inches(20),
                    },
                },
            ],
            Panels =
            [
                new Panel
                {
                    Id = "main",
                    Name = "Main",
                    Room = "place",
                    Wall = 1,
                    Along = Length.Feet(6),
                    Spaces = 30,
                    MainBreaker = 100,
                    BreakerFamily = "A",
                },
            ],
        };
        var a = Plan(job);
        var counter = a
            .Job.Decisions.Boxes.Where(b => b.Kind == BoxKind.Receptacle && b.Wall == 0 && b.Height >= Length.Inches(36))
            .ToList();
        counter.Count.ShouldBeGreaterThan(1);
        counter.Select(b => a.CircuitOf(b.Id)!).ShouldAllBe(c => c.Circuit.Purpose == CircuitPurpose.SmallAppliance);
        counter.Select(b => a.CircuitOf(b.Id)!.Number).Distinct().Count().ShouldBe(2);
    }

    [Fact]
    public void Three_hundred_houses_have_no_box_in_a_corner_in_an_opening_or_on_another_box() =>
        HouseSet
            .All.SelectMany(h =>
                h.House.Findings.Where(f => f.RuleId == "box.body" && h.House.Boxes[f.Subjects[0].Id].Appliance is null)
                    .Select(f => $"house {h.Seed}: {f.Sentence}")
            )
            .Take(10)
            .ShouldBeEmpty();

    [Theory]
    [InlineData(0, "corner")]
    [InlineData(60, null)]
    public void A_box_does_not_stand_in_a_corner(int inches, string? word) =>
        Why(
            new Box
            {
                Id = "x",
                Kind = BoxKind.Receptacle,
                Room = "place",
                Wall = 0,
                Along = Length.Inches(inches),
                Height = Length.Inches(16),
            },
            word
        );

    [Theory]
    [InlineData(1.75, 16, "stands on y")]
    [InlineData(2.75, 16, null)]
    [InlineData(0, 46, null)]
    public void Two_boxes_take_two_places(double apart, int height, string? word) =>
        Why(
            new Box
            {
                Id = "x",
                Kind = BoxKind.Receptacle,
                Room = "place",
                Wall = 0,
                Along = Length.Inches(60 + apart),
                Height = Length.Inches(height),
            },
            word,
            new Box
            {
                Id = "y",
                Kind = BoxKind.Receptacle,
                Room = "place",
                Wall = 0,
                Along = Length.Inches(60),
                Height = Length.Inches(16),
            }
        );

    [Theory]
    [InlineData(7, LightStyle.Surface, "a fan")]
    [InlineData(40, LightStyle.Surface, null)]
    [InlineData(40, LightStyle.Recessed, null)]
    public void A_light_keeps_out_from_under_a_fan(double inches, LightStyle style, string? word) =>
        Why(
            new Box
            {
                Id = "x",
                Kind = BoxKind.Light,
                Room = "place",
                At = new(Length.Inches(84 + inches), Length.Inches(72)),
                Fixture = style,
                Height = Length.Feet(8),
            },
            word,
            new Box
            {
                Id = "y",
                Kind = BoxKind.Light,
                Room = "place",
                At = new(Length.Inches(84), Length.Inches(72)),
                Fixture = LightStyle.Fan,
                Height = Length.Feet(8),
            }
        );

    [Theory]
    [InlineData(2, "from a wall")]
    [InlineData(6, null)]
    public void A_can_has_room_beside_the_wall(double inches, string? word) =>
        Why(
            new Box
            {
                Id = "x",
                Kind = BoxKind.Light,
                Room = "place",
                At = new(Length.Inches(84), Length.Inches(inches)),
                Fixture = LightStyle.Recessed,
                Height = Length.Feet(8),
            },
            word
        );

    private static void Why(Box box, string? word, params Box[] others)
    {
        var why = BoxBody.WhyNot(HouseShape.Of(Room("us-2023", RoomKind.Bedroom)), box, [box, .. others]);
        if (word is null)
            why.ShouldBeNull();
        else
            why.ShouldNotBeNull().ShouldContain(word);
    }

    [Fact]
    public void A_receptacle_is_not_proposed_into_a_low_window()
    {
        // Glass from the floor along most of a wall: what serves it stands beside it.
        var job = Room("us-2023", RoomKind.Bedroom);
        job = job with
        {
            Openings =
            [
                .. job.Openings,
                new Opening
                {
                    Id = "w",
                    Kind = OpeningKind.Window,
                    Room = "place",
                    Wall = 0,
                    From = Length.Feet(5),
                    Width = Length.Feet(4),
                    Sill = Length.Inches(6),
                },
            ],
        };
        var a = Plan(job);
        a.Findings.ShouldNotContain(f => f.RuleId == "box.door" || f.RuleId == "box.wall");
    }

    [Fact]
    public void The_second_receptacle_of_a_peninsula_is_in_a_face_and_not_in_the_cabinets()
    {
        var job = Sample.Whole() with { CodeEdition = "us-2020" };
        job = job with
        {
            Counters = job.Counters.Add(
                new Counter
                {
                    Id = "p",
                    Room = "kitchen",
                    Peninsula = true,
                    Spot = new Spot
                    {
                        Wall = 2,
                        From = Length.Feet(6),
                        Width = Length.Feet(3),
                        Depth = Length.Feet(5),
                    },
                }
            ),
        };
        var a = Plan(job);
        a.Job.Decisions.Boxes.Count(b => b.Room == "kitchen" && b.Kind == BoxKind.Receptacle && b.Wall is null).ShouldBe(2);
        a.Findings.ShouldNotContain(f => f.RuleId == "box.body");
    }

    [Fact]
    public void The_dishwashers_plug_is_in_the_space_beside_it()
    {
        var job = Sample.WithKitchen();
        var planned = Planner.PlanAll(job);
        var (spot, box) = (job.ApplianceById("dishwasher")!.Spot, planned.Decisions.Boxes.Single(b => b.Appliance == "dishwasher"));
        (box.Along < spot.From || box.Along > spot.From + spot.Width).ShouldBeTrue();
        Analyzer.Analyze(planned).Findings.ShouldNotContain(f => f.RuleId == "box.beside");
        var behind = planned.Change(b => b.Appliance == "dishwasher", b => b with { Along = spot.From + (spot.Width / 2) });
        Analyzer.Analyze(behind).Findings.ShouldContain(f => f.RuleId == "box.beside" && f.Severity == Severity.Must);
    }

    private static Job Stairs(params (string Storey, double Floor, bool Drawn)[] storeys) =>
        new()
        {
            Name = "Stairs",
            Storeys =
            [
                .. storeys.Select(s => new Storey
                {
                    Id = s.Storey,
                    Name = s.Storey,
                    Floor = Length.Feet(s.Floor),
                }),
            ],
            Rooms =
            [
                .. storeys.SelectMany(s =>
                    new[] { Sample.Rect($"hall-{s.Storey}", RoomKind.Hallway, 0, 0, 8, 14) with { Storey = s.Storey } }.Concat(
                        s.Drawn ? [Sample.Rect($"stairs-{s.Storey}", RoomKind.Stairs, 8.375, 0, 4, 12) with { Storey = s.Storey }] : []
                    )
                ),
            ],
            Openings =
            [
                .. storeys
                    .Where(s => s.Drawn)
                    .Select(s =>
                        Sample.Door($"hall-{s.Storey}", 1, 4, 3, $"stairs-{s.Storey}", OpeningKind.Cased) with
                        {
                            Id = $"o{s.Storey}",
                        }
                    ),
            ],
        };

    [Fact]
    public void Each_flight_has_its_light_and_a_switch_at_both_ends_where_flights_stand_over_each_other()
    {
        var a = Plan(Stairs(("cellar", -9, true), ("first", 0, true), ("second", 9, true)));
        StairRules.Flights(a.House).Length.ShouldBe(2);
        foreach (var flight in StairRules.Flights(a.House))
        {
            var light = a.Job.Decisions.Boxes.Single(b => b.Kind == BoxKind.Light && b.Room == flight.Upper.Room.Id);
            a.Job.Decisions.Boxes.Where(b => b.Gangs.Any(g => g.Lights.Contains(light.Id)))
                .Select(b => a.House[b.Room].Room.Storey)
                .Distinct()
                .Order()
                .ShouldBe(flight.Ends.Select(e => e.Room.Storey).Order());
        }

        a.Findings.ShouldNotContain(f => f.RuleId == "box.stairs" || f.RuleId == "box.light");
    }

    [Theory]
    [InlineData(7, 2)]
    [InlineData(5, 1)]
    public void A_flight_with_one_drawn_end_is_switched_at_both_levels_from_six_risers_on(int risers, int levels)
    {
        var job = Stairs(("cellar", -9, false), ("first", 0, true));
        job = job with { Rooms = [.. job.Rooms.Select(r => r.Kind == RoomKind.Stairs ? r with { Risers = risers } : r)] };
        var a = Plan(job);
        var light = a.Job.Decisions.Boxes.Single(b => b.Kind == BoxKind.Light && a.House[b.Room].Room.Kind == RoomKind.Stairs);
        a.Job.Decisions.Boxes.Where(b => b.Gangs.Any(g => g.Lights.Contains(light.Id)))
            .Select(b => a.House[b.Room].Room.Storey)
            .Distinct()
            .Count()
            .ShouldBe(levels);
        a.Findings.ShouldNotContain(f => f.RuleId == "box.stairs");
        if (levels == 2)
            Analyzer
                .Analyze(
                    a.Job.Without(b =>
                        b.Kind == BoxKind.Switch
                        && b.Room == "hall-cellar"
                        && b.Gangs.Any(g => g.Lights.Contains(light.Id))
                        && b.Gangs.Length == 1
                    )
                )
                .Findings.ShouldContain(f => f.RuleId == "box.stairs");
    }

    [Theory]
    [InlineData("heat-pump", "box.disconnect")]
    [InlineData("air-conditioner", "box.disconnect")]
    [InlineData("air-handler", "box.disconnect")]
    [InlineData("water-heater", "box.disconnect")]
    [InlineData("well-pump", "box.disconnect")]
    [InlineData("furnace", "box.disconnect")]
    [InlineData("disposer", "box.control")]
    [InlineData("bath-heater", "box.control")]
    public void Equipment_has_its_disconnect_or_its_switch(string type, string rule)
    {
        var job = Sample.Whole();
        job = job with
        {
            Appliances = job.Appliances.Add(
                Sample.Thing(
                    "extra",
                    type,
                    type is "disposer" ? "kitchen"
                        : type is "bath-heater" ? "bath"
                        : "laundry",
                    0,
                    type is "disposer" ? 5.3 : 1
                )
            ),
        };
        var planned = Planner.PlanAll(job);
        var a = Analyzer.Analyze(planned);
        var box = planned.Decisions.Boxes.Single(b => b.Serves == "extra");
        var outlet = planned.Decisions.Boxes.Single(b => b.Appliance == "extra");
        var c = a.CircuitOf(box.Id)!;
        c.ShouldBe(a.CircuitOf(outlet.Id));
        c.Run.Hops.Single(h => h.To == outlet.Id).From.ShouldBe(box.Id);
        a.Specs[box.Id].Device.ShouldContain(ApplianceFacts.Of(job.ApplianceById("extra")!).Name);
        BoxSchedule.Of(a).SelectMany(g => g.Lines).ShouldContain(l => l.Box.Id == box.Id);
        a.Findings.ShouldNotContain(f => f.RuleId == rule);
        Analyzer
            .Analyze(planned.Without(b => b.Serves == "extra"))
            .Findings.ShouldContain(f => f.RuleId == rule && f.Subjects.Contains(Subject.Parse("appliance:extra")));
    }

    [Fact]
    public void Hardwired_loads_without_a_disconnect_have_a_box_or_fitting()
    {
        var a = Plan(Sample.Whole() with { Appliances = Sample.Whole().Appliances.Add(Sample.Thing("top", "cooktop", "kitchen", 3, 0.5)) });
        a.Specs[a.Job.Decisions.Boxes.Single(b => b.Appliance == "top").Id].Entry.ShouldNotBeNull();
    }

    [Theory]
    [InlineData(LightStyle.Pendant, true)]
    [InlineData(LightStyle.Recessed, false)]
    public void No_pendant_hangs_in_a_clothes_closet(LightStyle style, bool found) =>
        Analyzer
            .Analyze(Planner.PlanAll(Sample.Whole()).WithCloset(Sample.P(64, 2), style))
            .Findings.Any(f => f.RuleId == "box.pendant")
            .ShouldBe(found);

    [Theory]
    [InlineData(AccessKind.FoldingLadder, true)]
    [InlineData(AccessKind.Scuttle, false)]
    public void An_attic_behind_a_folding_ladder_has_a_switched_light(AccessKind access, bool lit)
    {
        var job = Sample.Whole();
        var a = Plan(
            job with
            {
                Storeys = job.Storeys.Add(
                    new Storey
                    {
                        Id = "top",
                        Name = "Attic",
                        Floor = Length.Feet(9),
                    }
                ),
                Rooms = job.Rooms.Add(Sample.Rect("attic", RoomKind.Attic, 0, 0, 12, 10) with { Storey = "top", Access = access }),
            }
        );
        a.Job.Decisions.Boxes.Any(b => b.Room == "attic" && b.Kind == BoxKind.Light).ShouldBe(lit);
        if (lit)
            a.Findings.ShouldNotContain(f => f.RuleId == "box.equipmentLight");
    }

    [Theory]
    [InlineData(8, 48, false)]
    [InlineData(10, 48, true)]
    [InlineData(8, 60, true)]
    public void Staples_stand_as_near_as_the_boxes_ask(int fromBox, int every, bool found) =>
        Analyzer
            .Analyze(
                CheckTests.PlannedWhole with
                {
                    Preferences = CheckTests.PlannedWhole.Preferences with
                    {
                        StapleFromBox = Length.Inches(fromBox),
                        StapleEvery = Length.Inches(every),
                    },
                }
            )
            .Findings.Any(f => f.RuleId == "wire.staple")
            .ShouldBe(found);

    [Fact]
    public void A_steel_stud_takes_a_box_with_a_bracket_and_bushings_in_its_holes()
    {
        var job = Sample.Whole();
        var steel = job with
        {
            Walls =
            [
                .. Enumerable
                    .Range(0, 4)
                    .Select(n => new WallFact
                    {
                        Room = "bedroom",
                        Wall = n,
                        Build = WallBuild.MetalStud,
                    }),
            ],
        };
        var a = Plan(steel);
        var receptacles = a.Job.Decisions.Boxes.Where(b => b.Room == "bedroom" && b.Kind == BoxKind.Receptacle).ToList();
        receptacles.ShouldAllBe(b => a.Specs[b.Id].Entry!.Bracket);
        Plan(job).Specs.Values.Where(s => s.Entry is not null).ShouldAllBe(s => !s.Entry!.Bracket);
        DrillList.Of(a).Bushings.ShouldBeGreaterThan(0);
    }

    [Fact]
    public void Nobody_is_told_to_buy_a_box_that_is_just_full_or_a_lone_metal_one() =>
        HouseSet
            .All.Take(60)
            .SelectMany(h =>
                h.House.Specs.Where(s =>
                        s.Value is { Entry: { } entry, Fill: { } fill }
                        && fill.Inches3 > (entry.Volume * 0.999)
                        && CodeLibrary.Boxes.Values.Any(b =>
                            b.Use == entry.Use
                            && b.Gangs == entry.Gangs
                            && b.Metal == entry.Metal
                            && b.Bracket == entry.Bracket
                            && b.Volume > entry.Volume
                        )
                    )
                    .Select(s => $"house {h.Seed}: {s.Key} {s.Value.Fill!.Inches3} in {s.Value.Entry!.Name}")
            )
            .Take(10)
            .ShouldBeEmpty();

    // Told anew: on a face of the dwelling's own that looks south and on one that looks north, or on a porch or deck there.
    [Fact]
    public void Three_hundred_dwellings_have_a_receptacle_at_the_front_and_one_at_the_back_of_their_own()
    {
        foreach (var (seed, a) in HouseSet.All)
        {
            var own = a.House.BuildingOf(a.Job.Panels[0].Room);
            var inside = a.House.Rooms.Where(r => own.Contains(r.Room.Id) && !r.Room.Kind.OpenAir()).ToList();
            var middle = (inside.Min(r => r.MinY).InInches + inside.Max(r => r.MaxY).InInches) / 2;
            var sides = a
                .Job.Decisions.Boxes.Where(b =>
                    b.Kind == BoxKind.Receptacle && own.Contains(b.Room) && (b.Outside || a.Job.KindAt(b).OpenAir())
                )
                .Select(b =>
                    b.Outside ? LabelWriter.Facing(a.House[b.Room], b.Wall!.Value)
                    : Places.Of(a.House, b).Y.InInches > middle ? "south"
                    : "north"
                )
                .ToHashSet();
            new[] { "north", "south" }.ShouldBeSubsetOf(sides, $"house {seed}");
        }
    }

    [Theory]
    [InlineData(-9.0, true)]
    [InlineData(0.0, false)]
    public void A_utility_room_in_a_basement_has_a_receptacle(double floor, bool needed)
    {
        var whole = Sample.Whole();
        var job = Planner.PlanAll(
            whole with
            {
                Storeys =
                [
                    .. whole.Storeys,
                    new Storey
                    {
                        Id = "below",
                        Name = "Below",
                        Floor = Length.Feet(floor == 0 ? 9 : floor),
                    },
                ],
                Rooms = [.. whole.Rooms, Sample.Rect("plant", RoomKind.Utility, 2, 2, 8, 8) with { Storey = "below" }],
            }
        );
        job.Decisions.Boxes.Any(b => b.Room == "plant" && b.Kind == BoxKind.Receptacle).ShouldBe(needed);
        var bare = job with
        {
            Decisions = job.Decisions with
            {
                Boxes = job.Decisions.Boxes.RemoveAll(b => b.Room == "plant" && b.Kind == BoxKind.Receptacle),
                Circuits = [],
            },
        };
        Analyzer.Analyze(bare).Findings.Any(f => f.RuleId == "box.basement").ShouldBe(needed);
    }
}
