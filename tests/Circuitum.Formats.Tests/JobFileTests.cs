using System.Text.Json.Nodes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Planning;
using Circuitum.Core.Review;
using NJsonSchema;

namespace Circuitum.Formats.Tests;

public class JobFileTests
{
    internal static string Root()
    {
        var at = new DirectoryInfo(AppContext.BaseDirectory);
        while (at is not null && !Directory.Exists(Path.Combine(at.FullName, "demo")))
            at = at.Parent;
        return at!.FullName;
    }

    internal static string DemoText(string name = "tamarack-row.json") => File.ReadAllText(Path.Combine(Root(), "demo", name));

    internal static Job Demo(string name = "tamarack-row.json") => JobFile.Read(DemoText(name)).Job.ShouldNotBeNull();

    [Theory]
    [InlineData("tamarack-row.json")]
    [InlineData("gull-cottage.json")]
    public void A_planned_demo_job_reads_back_the_same(string name)
    {
        var text = JobFile.Write(Planner.PlanAll(Demo(name)));
        JobFile.Write(JobFile.Read(text).Job.ShouldNotBeNull()).ShouldBe(text);
    }

    [Theory]
    [InlineData("tamarack-row.json")]
    [InlineData("gull-cottage.json")]
    public async Task Demo_and_planned_jobs_follow_the_published_schema(string name)
    {
        var schema = await JsonSchema.FromFileAsync(Path.Combine(Root(), "docs", "job-format", "job.schema.json"), CancellationToken.None);
        schema.Validate(DemoText(name)).ShouldBeEmpty();
        schema.Validate(JobFile.Write(Planner.PlanAll(Demo(name)))).ShouldBeEmpty();
        schema
            .Validate(DemoText(name).Replace("\"kitchen\",\n      \"ceiling", "\"scullery\",\n      \"ceiling", StringComparison.Ordinal))
            .ShouldNotBeEmpty();
    }

    [Theory]
    [InlineData("tamarack-row.json")]
    [InlineData("gull-cottage.json")]
    public void A_planned_demo_job_has_no_must_finding(string name) =>
        Analyzer.Analyze(Planner.PlanAll(Demo(name))).Findings.Where(f => f.Severity == Core.Analysis.Severity.Must).ShouldBeEmpty();

    [Theory]
    [InlineData("tamarack-row.json", 1860)]
    [InlineData("gull-cottage.json", 620)]
    public void The_demo_houses_have_their_stated_area(string name, double area) =>
        Analyzer.Analyze(Demo(name)).AreaSqFt.ShouldBe(area, 0.5);

    [Fact]
    public void Unknown_fields_survive_at_every_level()
    {
        var node = JsonNode.Parse(DemoText())!;
        node["later"] = "x";
        node["rooms"]![0]!["paint"] = new JsonObject { ["wall"] = "white" };
        node["appliances"]![0]!["nameplate"]!["serial"] = 7;
        node["preferences"]!["radio"] = true;
        var back = JsonNode.Parse(JobFile.Write(JobFile.Read(node.ToJsonString()).Job.ShouldNotBeNull()))!;
        back["later"]!.GetValue<string>().ShouldBe("x");
        back["rooms"]![0]!["paint"]!["wall"]!.GetValue<string>().ShouldBe("white");
        back["appliances"]![0]!["nameplate"]!["serial"]!.GetValue<int>().ShouldBe(7);
        back["preferences"]!["radio"]!.GetValue<bool>().ShouldBeTrue();
    }

    public static TheoryData<string, string, string> Bad =>
        new()
        {
            { "not JSON", "hello", "" },
            { "an array", "[]", "" },
            { "nothing", "", "" },
            { "another format", """{"format":"x","version":1}""", "format" },
            { "a later version", """{"format":"circuitum-job","version":2}""", "version" },
            { "no name", Edit(n => n["name"] = ""), "name" },
            { "an edition that is not shipped", Edit(n => n["codeEdition"] = "us-1999"), "codeEdition" },
            { "a negative length", Edit(n => n["openings"]![0]!["from"] = "-3'0"), "openings[0].from" },
            { "a negative width", Edit(n => n["openings"]![0]!["width"] = "-3'0"), "openings[0].width" },
            { "an absurd length", Edit(n => n["rooms"]![0]!["ceilingHeight"] = "99999999999"), "rooms[0].ceilingHeight" },
            { "a ceiling of 90 ft", Edit(n => n["rooms"]![0]!["ceilingHeight"] = "90'"), "rooms[0].ceilingHeight" },
            { "a length that is a number", Edit(n => n["rooms"]![0]!["ceilingHeight"] = 8), "rooms[0].ceilingHeight" },
            {
                "an outline that crosses itself",
                Edit(n => n["rooms"]![0]!["outline"] = JsonNode.Parse("""[["0'","0'"],["10'","10'"],["10'","0'"],["0'","10'"]]""")),
                "rooms[0].outline"
            },
            {
                "an outline of two corners",
                Edit(n => n["rooms"]![0]!["outline"] = JsonNode.Parse("""[["0'","0'"],["10'","10'"]]""")),
                "rooms[0].outline"
            },
            {
                "a wall of no length",
                Edit(n => n["rooms"]![0]!["outline"]![1] = n["rooms"]![0]!["outline"]![0]!.DeepClone()),
                "rooms[0].outline[0]"
            },
            { "a door off its wall", Edit(n => n["openings"]![0]!["from"] = "30'"), "openings[0].from" },
            { "a door on no wall", Edit(n => n["openings"]![0]!["wall"] = 9), "openings[0].wall" },
            { "a door to no room", Edit(n => n["openings"]![0]!["to"] = "attic"), "openings[0].to" },
            { "the same id twice", Edit(n => n["rooms"]![1]!["id"] = "kitchen"), "rooms[1].id" },
            { "an id with markup", Edit(n => n["rooms"]![1]!["id"] = "<b>"), "rooms[1].id" },
            { "an unknown room kind", Edit(n => n["rooms"]![0]!["kind"] = "dungeon"), "rooms[0].kind" },
            { "a kind that is a number", Edit(n => n["rooms"]![0]!["kind"] = 3), "rooms[0].kind" },
            { "a null list", Edit(n => n["rooms"] = null), "rooms" },
            {
                "an appliance of 1e300 VA",
                Edit(n => n["appliances"]![0]!["nameplate"]!["voltAmperes"] = 1e300),
                "appliances[0].nameplate.voltAmperes"
            },
            { "an unknown appliance", Edit(n => n["appliances"]![0]!["type"] = "flux"), "appliances[0].type" },
            { "a panel of 7 spaces", Edit(n => n["panels"]![0]!["spaces"] = 7), "panels[0].spaces" },
            {
                "a circuit with a box that is not there",
                Edit(n =>
                    n["decisions"] = JsonNode.Parse("""{"circuits":[{"number":1,"purpose":"laundry","boxes":[{"box":"nobody"}]}]}""")
                ),
                "decisions.circuits[0].boxes"
            },
            {
                "ten thousand rooms",
                Edit(n => n["rooms"] = new JsonArray([.. Enumerable.Range(0, 10_000).Select(i => n["rooms"]![0]!.DeepClone())])),
                "rooms"
            },
            { "a name over 120 characters", Edit(n => n["rooms"]![0]!["name"] = new string('x', 121)), "rooms[0].name" },
            { "deep nesting", """{"format":"circuitum-job","version":1,"x":""" + new string('[', 200) + new string(']', 200) + "}", "" },
        };

    [Theory]
    [MemberData(nameof(Bad))]
    public void Bad_input_names_the_field(string what, string text, string field)
    {
        var reading = JobFile.Read(text);
        reading.Job.ShouldBeNull(what);
        var problem = reading.Problems.Count > 0 ? reading.Problems[0] : throw new InvalidOperationException(what);
        problem.Field.ShouldBe(field, what);
        problem.Sentence.Length.ShouldBeGreaterThan(10, what);
        problem.Sentence.ShouldNotContain("System.", Case.Sensitive, what);
    }

    [Fact]
    public async Task A_50_MB_file_is_refused_without_reading_it_all()
    {
        using var stream = new MemoryStream(new byte[50_000_000]);
        var reading = await JobFile.ReadAsync(stream);
        reading.Problems.Single().Sentence.ShouldContain("larger than 4 MB");
        stream.Position.ShouldBeLessThan(5_000_000);
    }

    [Fact]
    public void Markup_and_formulas_stay_text_in_every_paper()
    {
        const string Evil = "=cmd|<script>alert(1)</script>&\"'";
        var job = Planner.PlanAll(JobFile.Read(Edit(n => n["rooms"]![0]!["name"] = Evil)).Job!);
        job = job with
        {
            Decisions = job.Decisions with
            {
                Circuits = job.Decisions.Circuits.SetItem(0, job.Decisions.Circuits[0] with { Label = Evil }),
            },
        };
        var a = Analyzer.Analyze(job);
        ScheduleCsv.Write(a).ShouldContain("\"'=cmd");
        foreach (var svg in new[] { PlanSvg.Draw(a, new("first", PlanStage.Circuits, StandAlone: true)), ScheduleSvg.Draw(a) })
        {
            svg.ShouldNotContain("<script");
            svg.ShouldContain("&lt;script");
            System.Xml.Linq.XDocument.Parse(svg).Root!.Name.LocalName.ShouldBe("svg");
        }
    }

    [Fact]
    public void The_csv_has_a_row_a_space_and_its_totals_add_up()
    {
        var a = Analyzer.Analyze(Planner.PlanAll(Demo()));
        var lines = ScheduleCsv.Write(a).Split("\r\n", StringSplitOptions.RemoveEmptyEntries);
        lines.Length.ShouldBe(1 + 40 + 3);
        (a.LegA + a.LegB).Value.ShouldBe(a.Circuits.Sum(c => c.Load.Connected.Value), 0.01);
    }

    private static string Edit(Action<JsonNode> edit)
    {
        var node = JsonNode.Parse(DemoText())!;
        edit(node);
        return node.ToJsonString();
    }

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
                    new RunWay
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
                        By = Maker.Person,
                    },
                ],
                Pairs =
                [
                    new HomeRunPair
                    {
                        First = 1,
                        Second = 2,
                        Kind = PairKind.TwoNeutrals,
                        By = Maker.Person,
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

    private static Job Boxed(Job job, Func<Box, Box> to) =>
        job with
        {
            Decisions = job.Decisions with { Boxes = job.Decisions.Boxes.SetItem(0, to(job.Decisions.Boxes[0])) },
        };

    public static TheoryData<string, Func<Job, Job>> Wrong =>
        new()
        {
            {
                "rooms[0].receptacleReach",
                j => j with { Rooms = [j.Rooms[0] with { ReceptacleReach = Length.Feet(9) }, .. j.Rooms.Skip(1)] }
            },
            {
                "decisions.pairs[0].second",
                j => j with { Decisions = j.Decisions with { Pairs = [new HomeRunPair { First = 1, Second = 7 }] } }
            },
            {
                "decisions.circuits[0].preferences",
                j =>
                    j with
                    {
                        Decisions = j.Decisions with
                        {
                            Circuits =
                            [
                                j.Decisions.Circuits[0] with
                                {
                                    Preferences = System.Collections.Immutable.ImmutableSortedDictionary<string, string>.Empty.Add(
                                        "runBy",
                                        "overhead"
                                    ),
                                },
                                .. j.Decisions.Circuits.Skip(1),
                            ],
                        },
                    }
            },
            {
                "amendments[0].changes[0].value",
                j => j with { Amendments = [j.Amendments[0] with { Changes = [j.Amendments[0].Changes[0] with { Value = 7 }] }] }
            },
            { "preferences.switchReach", j => j with { Preferences = j.Preferences with { SwitchReach = Length.Zero } } },
            { "decisions.boxes[0].size", j => Boxed(j, b => b with { Size = "a bucket" }) },
            { "decisions.boxes[0].rating", j => Boxed(j, b => b with { Rating = 17 }) },
            { "decisions.boxes[0].held.waitsFor", j => Boxed(j, b => b with { Held = b.Held! with { WaitsFor = "" } }) },
            { "decisions.boxes[0].held.slack", j => Boxed(j, b => b with { Held = b.Held! with { Slack = Length.Feet(90) } }) },
            { "decisions.boxes[0].state", j => Boxed(j, b => b with { State = BoxState.Final }) },
            {
                "decisions.boxes[0].outside",
                j => Boxed(j, b => b with { Outside = true, Wall = null, At = new Point(Length.Feet(3), Length.Feet(3)) })
            },
            { "walls[0].wall", j => j with { Walls = [j.Walls[0] with { Wall = 9 }] } },
            { "walls[0].room", j => j with { Walls = [j.Walls[0] with { Room = "none" }] } },
            { "walls[1]", j => j with { Walls = [j.Walls[0], j.Walls[0]] } },
            { "walls[0].studSpacing", j => j with { Walls = [j.Walls[0] with { StudSpacing = Length.Feet(9) }] } },
            { "walls[0].thickness", j => j with { Walls = [j.Walls[0] with { Thickness = Length.Feet(9) }] } },
            { "walls[0].chaseHeight", j => j with { Walls = [j.Walls[0] with { ChaseHeight = Length.Feet(90) }] } },
            { "walls[0].chaseStations", j => j with { Walls = [j.Walls[0] with { ChaseStations = Length.Zero }] } },
            { "wishes[0].at", j => j with { Wishes = [j.Wishes[0] with { At = new Point(Length.Feet(90), Length.Feet(3)) }] } },
            { "wishes[0].room", j => j with { Wishes = [j.Wishes[0] with { Room = "none" }] } },
            { "wishes[1].id", j => j with { Wishes = [j.Wishes[0], j.Wishes[0]] } },
            { "wishes[0].note", j => j with { Wishes = [j.Wishes[0] with { Note = new string('x', 200) }] } },
            { "underlays[0].storey", j => j with { Underlays = [j.Underlays[0] with { Storey = "none" }] } },
            { "underlays[0].picture", j => j with { Underlays = [j.Underlays[0] with { Picture = "../../etc" }] } },
            { "underlays[0].width", j => j with { Underlays = [j.Underlays[0] with { Width = Length.Zero }] } },
            { "underlays[0].strength", j => j with { Underlays = [j.Underlays[0] with { Strength = 300 }] } },
            { "underlays[0]", j => j with { Underlays = [j.Underlays[0], j.Underlays[0]] } },
            { "rooms[0].joistDepth", j => j with { Rooms = j.Rooms.SetItem(0, j.Rooms[0] with { JoistDepth = Length.Inches(1) }) } },
            { "rooms[0].shelfDepth", j => j with { Rooms = j.Rooms.SetItem(0, j.Rooms[0] with { ShelfDepth = Length.Feet(10) }) } },
            { "rooms[0].risers", j => j with { Rooms = j.Rooms.SetItem(0, j.Rooms[0] with { Risers = 0 }) } },
            { "storeys[0].ceiling", j => j with { Storeys = [j.Storeys[0] with { Ceiling = Length.Feet(90) }] } },
            { "openings[0].sill", j => j with { Openings = j.Openings.SetItem(0, j.Openings[0] with { Sill = Length.Feet(90) }) } },
        };

    [Theory]
    [MemberData(nameof(Wrong))]
    public void A_wrong_fact_is_named_by_its_field(string field, Func<Job, Job> bend)
    {
        var reading = JobFile.Read(JobFile.Write(bend(Full())));
        reading.Job.ShouldBeNull();
        reading.Problems.ShouldContain(p => p.Field == field, string.Join("; ", reading.Problems));
    }

    [Theory]
    [InlineData("\"walls\": null")]
    [InlineData("\"walls\": [null]")]
    [InlineData("\"wishes\": [{\"id\": null}]")]
    [InlineData("\"underlays\": [{\"storey\": null, \"picture\": null}]")]
    public void Nulls_where_lists_and_words_belong_get_a_sentence(string fragment)
    {
        var text = DemoText("gull-cottage.json")
            .Replace("\"walls\": []", fragment, StringComparison.Ordinal)
            .Replace(
                "\"wishes\": []",
                fragment.StartsWith("\"wishes", StringComparison.Ordinal) ? fragment : "\"wishes\": []",
                StringComparison.Ordinal
            );
        var reading = JobFile.Read(text);
        if (reading.Job is null)
            reading.Problems.ShouldNotBeEmpty();
        else
            Analyzer.Analyze(reading.Job).Findings.ShouldNotBeEmpty();
    }

    [Fact]
    public void Pictures_are_looked_at_before_they_are_kept()
    {
        var png = File.ReadAllBytes(Path.Combine(Root(), "docs", "screenshots", "rooms.png"));
        PictureFile
            .Look(png)
            .Picture.ShouldNotBeNull()
            .ShouldSatisfyAllConditions(
                p => p.MediaType.ShouldBe("image/png"),
                p => p.Width.ShouldBe(1280),
                p => p.Hash.Length.ShouldBe(64)
            );
        PictureFile.Look(png[..^40]).Problem.ShouldContain("breaks off");
        using var drawn = SkiaSharp.SKBitmap.Decode(png);
        using var encoded = drawn.Encode(SkiaSharp.SKEncodedImageFormat.Jpeg, 80);
        var jpeg = encoded.ToArray();
        PictureFile.Look(jpeg).Picture.ShouldNotBeNull().MediaType.ShouldBe("image/jpeg");
        foreach (var part in new[] { 0.3, 0.7, 0.95 })
            PictureFile.Look(jpeg[..(int)(jpeg.Length * part)]).Problem.ShouldContain("breaks off");
        PictureFile.Look([1, 2, 3]).Problem.ShouldContain("not a PNG or JPEG");
        PictureFile.Look(new byte[PictureFile.MostBytes + 1]).Problem.ShouldContain("larger than");
        var wide = (byte[])png.Clone();
        (wide[16], wide[17], wide[18], wide[19]) = (0, 0, 0x75, 0x30);
        var (picture, problem) = PictureFile.Look(wide);
        picture.ShouldBeNull();
        problem.ShouldNotBeEmpty();
    }
}
