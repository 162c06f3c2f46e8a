using System.Text.Json.Nodes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Planning;
using Circuitum.Core.Review;
using NJsonSchema;

namespace Circuitum.Formats.Tests;

// Every fact of a job, and what is wrong with one.
public partial class JobFileTests
{
    // A job that uses every fact of the plan.
    private static Job Full()
    {
        var job = Demo("gull-cottage.json");
        var room = job.Rooms[0];
        return job with
        {
            Storeys = [job.Storeys[0] with { Ceiling = Length.Feet(9) }],
            Rooms = job.Rooms.SetItem(
                0,
                room with
                {
                    Ceiling = CeilingShape.Vaulted,
                    Joists = JoistRun.EastWest,
                    JoistDepth = Length.Inches(9.25),
                    ShelfDepth = Length.Inches(16),
                    Risers = 7,
                    Access = AccessKind.Scuttle,
                }
            ),
            Openings = job.Openings.SetItem(0, job.Openings[0] with { Sill = Length.Inches(30) }),
            Walls =
            [
                new WallFact
                {
                    Room = room.Id,
                    Wall = 0,
                    Build = WallBuild.Wood2x4,
                    Bearing = true,
                    StudSpacing = Length.Inches(24),
                    Thickness = Length.Inches(6.5),
                    NoCable = true,
                    DataCable = true,
                    ChaseHeight = Length.Inches(16),
                    ChaseStations = Length.Feet(4),
                },
            ],
            Fixtures = job.Fixtures.Add(
                new Fixture
                {
                    Id = "beam",
                    Kind = FixtureKind.Beam,
                    Room = room.Id,
                    Spot = new Spot
                    {
                        Wall = 0,
                        From = Length.Feet(1),
                        Width = Length.Feet(4),
                        Depth = Length.Inches(6),
                    },
                    Bottom = Length.Feet(7),
                }
            ),
            Wishes =
            [
                new Wish
                {
                    Id = "tv",
                    Kind = WishKind.Heavy,
                    Room = room.Id,
                    At = new Point(Length.Feet(3), Length.Feet(3)),
                    Note = "the big one",
                },
            ],
            Underlays =
            [
                new Underlay
                {
                    Storey = job.Storeys[0].Id,
                    Picture = new string('a', 64),
                    Width = Length.Feet(40),
                    Height = Length.Feet(30),
                },
            ],
            Preferences = job.Preferences with
            {
                ReceptacleReach = Length.Feet(4),
                CeilingLights = CeilingLights.RecessedThroughout,
                ArcFault = ArcFaultPlace.FirstOutlet,
                HomeRunMethod = HomeRunMethod.Metal,
                SwitchLoops = SwitchLoops.LightFirst,
                SpareSpaces = 4,
                OutsideMethod = OutsideMethod.DirectBurial,
                LargeAppliances = LargeAppliances.NearestPanel,
                RoughTesting = RoughTesting.Live,
                Mark15 = "blue",
                PanelOrder = PanelOrder.ByRoom,
                LegBalance = LegBalanceBy.Expected,
            },
            Counters = job.Counters.Add(
                new Counter
                {
                    Id = "bar",
                    Room = room.Id,
                    Peninsula = true,
                    Spot = new Spot
                    {
                        Wall = 0,
                        From = Length.Feet(1),
                        Width = Length.Feet(2),
                        Depth = Length.Feet(4),
                    },
                }
            ),
            Appliances = job.Appliances.Add(
                new Appliance
                {
                    Id = "pump",
                    Type = "well-pump",
                    Room = room.Id,
                    Spot = new Spot
                    {
                        At = new Point(Length.Feet(2), Length.Feet(2)),
                        Width = Length.Feet(1),
                        Depth = Length.Feet(1),
                    },
                    Nameplate = new Nameplate
                    {
                        Amperes = 9.5,
                        Continuous = false,
                        OwnCircuit = true,
                    },
                }
            ),
            Panels = job.Panels.Add(
                new Panel
                {
                    Id = "sub",
                    Name = "Upper",
                    Room = room.Id,
                    Wall = 0,
                    Along = Length.Feet(2),
                    FedFrom = job.Panels[0].Id,
                    FeederBreaker = 70,
                    FeederMethod = FeederMethod.Conduit,
                    AluminumFeeder = true,
                    MainLugs = true,
                    MainBreaker = 100,
                    Spaces = 20,
                    BreakerFamily = "Family B",
                    AlsoTakes = ["Family C"],
                    TandemSpaces = [13, 15],
                    CardWide = Length.Inches(4.5),
                    CardTall = Length.Inches(8),
                }
            ),
            Amendments = Core.Codes.CodeLibrary.SampleLayers,
            Decisions = new Decisions
            {
                Circuits =
                [
                    new Circuit
                    {
                        Number = 1,
                        First = "b1",
                        Run =
                        [
                            new LockedCable { To = "b1" },
                            new LockedCable
                            {
                                From = "b1",
                                To = "b3",
                                Use = CableUse.TwoSwitchLegs,
                            },
                        ],
                        Boxes = [new CircuitBox { Box = "b1", LineSide = true }],
                        Preferences = System.Collections.Immutable.ImmutableSortedDictionary<string, string>.Empty.Add("ambientC", "45"),
                    },
                    new Circuit { Number = 2, Boxes = [new CircuitBox { Box = "b2" }] },
                ],
                Pulled =
                [
                    new PulledRun
                    {
                        Circuit = 1,
                        To = "b1",
                        Cable = "12-2",
                        Measured = Length.Feet(40),
                    },
                ],
                Outside =
                [
                    new OutsideRun
                    {
                        To = "b2",
                        Method = OutsideMethod.IndoorCable,
                        Depth = Length.Inches(20),
                        Driveway = true,
                        Bends = [90, 0, 45],
                    },
                ],
                Ways =
                [
                    new LedSegment
                    {
                        From = "b1",
                        To = "b2",
                        Storey = job.Storeys[0].Id,
                        Over = new Point(Length.Feet(3), Length.Feet(4)),
                    },
                ],
                Spaces =
                [
                    new SpaceDecision
                    {
                        Panel = job.Panels[0].Id,
                        Feeds = "sub",
                        Space = 3,
                        Half = TandemHalf.Upper,
                        Family = "Family C",
                        By = Origin.Person,
                    },
                ],
                Pairs =
                [
                    new HomeRunPair
                    {
                        First = 1,
                        Second = 2,
                        Kind = PairKind.TwoNeutrals,
                        By = Origin.Person,
                    },
                ],
                Boxes =
                [
                    new Box
                    {
                        Id = "b1",
                        Kind = BoxKind.Receptacle,
                        Room = room.Id,
                        Wall = 0,
                        Along = Length.Feet(1),
                        Height = Length.Inches(16),
                        Style = ReceptacleStyle.Quad,
                        Size = "nm-2g-34",
                        Rating = 20,
                        Side = StudSide.Left,
                        State = BoxState.RoughedIn,
                        Held = new HeldFor
                        {
                            WaitsFor = "cabinet drawing",
                            Ask = "owner",
                            Slack = Length.Feet(2),
                        },
                    },
                    new Box
                    {
                        Id = "b2",
                        Kind = BoxKind.Light,
                        Room = room.Id,
                        Wall = 0,
                        Along = Length.Feet(2),
                        Height = Length.Feet(6),
                        Fixture = LightStyle.Wall,
                        Outside = true,
                    },
                ],
            },
        };
    }

    [Fact]
    public async Task Every_fact_of_the_plan_is_in_the_schema_and_comes_back()
    {
        var text = JobFile.Write(Full());
        var schema = await JsonSchema.FromFileAsync(Path.Combine(Root(), "docs", "job-format", "job.schema.json"), CancellationToken.None);
        schema.Validate(text).ShouldBeEmpty();
        var reading = JobFile.Read(text);
        reading.Problems.ShouldBeEmpty();
        JobFile.Write(reading.Job!).ShouldBe(text);
    }
}
