using Circuitum.Core.Analysis;
using Circuitum.Core.Checks;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Formats.Tests;

/// <summary>Each statement about split boards passes in the villa as it is planned and fails where it is broken.</summary>
public class BoardRuleTests
{
    private static readonly Job Planned = Planner.PlanAll(BoardSample.Villa());

    private static readonly JobAnalysis A = Analyzer.Analyze(Planned);

    [Fact]
    public void The_villa_as_planned_breaks_nothing() => A.Findings.Select(f => $"{f.RuleId}: {f.Sentence}").ShouldBeEmpty();

    private static CircuitAnalysis First(Func<CircuitAnalysis, bool> which) => A.Circuits.First(which);

    private static Job Boxes(Func<Box, Box?> change) =>
        Planned with
        {
            Decisions = Core.BoxLayout.BoxProposal.DropLost(
                Planned.Decisions with
                {
                    Boxes = [.. Planned.Decisions.Boxes.Select(change).OfType<Box>()],
                }
            ),
        };

    private static Job Circuits(Func<Circuit, Circuit> change) =>
        Planned with
        {
            Decisions = Planned.Decisions with { Circuits = [.. Planned.Decisions.Circuits.Select(change)] },
        };

    private static Job Panels(Func<Panel, Panel> change) => Planned with { Panels = [.. Planned.Panels.Select(change)] };

    private static Job Number(string name, double value) =>
        Planned with
        {
            Amendments =
            [
                new()
                {
                    Name = "A layer",
                    Authority = "Somewhere",
                    Changes =
                    [
                        new()
                        {
                            Kind = AmendmentKind.Number,
                            Target = name,
                            Value = value,
                            Citation = "1",
                        },
                    ],
                },
            ],
        };

    // The boxes of the second circuit on the first one.
    private static Job Merged(CircuitAnalysis one, CircuitAnalysis other) =>
        Circuits(c =>
            c.Number == one.Number ? c with { Boxes = c.Boxes.AddRange(other.Circuit.Boxes) }
            : c.Number == other.Number ? c with { Boxes = [] }
            : c
        );

    private static Job Space(int circuit, int space) =>
        Planned with
        {
            Decisions = Planned.Decisions with
            {
                Spaces = [.. Planned.Decisions.Spaces.Select(s => s.Circuit == circuit ? s with { Space = space } : s)],
            },
        };

    private static CircuitAnalysis Of(BoardUse use, int skip = 0) => A.Circuits.Where(c => c.Board!.Use == use).Skip(skip).First();

    private static int Free(string section) =>
        BoardSheet.Of(A, A.Panels[0])!.Places.First(p => p.Row.Free && p.Name.StartsWith(section)).Row.Space;

    private static readonly Dictionary<string, Func<Job>> Broken = new()
    {
        ["board.points"] = () => Boxes(b => b.Room == "majlis" && b.Kind == BoxKind.Receptacle ? null : b),
        ["board.socketHeight"] = () =>
            Boxes(b => b.Room == "majlis" && b.Kind == BoxKind.Receptacle ? b with { Height = LengthText.Parse("449 mm") } : b),
        ["board.socketWater"] = () => Number("socketFromSinkIn", 118),
        ["board.bathroom"] = () =>
            Planned with
            {
                Decisions = Planned.Decisions with
                {
                    Boxes = Planned.Decisions.Boxes.Add(
                        new()
                        {
                            Id = "guest-bath.x1",
                            Room = "guest-bath",
                            Kind = BoxKind.Receptacle,
                            Wall = 1,
                            Along = LengthText.Parse("300 mm"),
                            Height = LengthText.Parse("1200 mm"),
                        }
                    ),
                },
            },
        ["board.lamps"] = () => Boxes(b => b.Kind == BoxKind.Light ? b with { VoltAmperes = 600 } : b),
        ["board.lampCircuits"] = () => Merged(Of(BoardUse.Lighting), Of(BoardUse.Lighting, 1)),
        ["board.radial"] = () => Circuits(c => c with { Ring = false }),
        ["board.ring"] = () => Number("ringPointsMost", 5),
        ["board.own"] = () => Boxes(b => b.Room == "majlis" && b.Kind == BoxKind.Receptacle ? b with { Rating = 15 } : b),
        ["board.roomLine"] = () =>
            Space(A.Circuits.Where(c => c.Boxes.Any(b => b.Room == "kitchen") && c.Board!.Ring).Last().Number, Free("B1-R")),
        ["board.cooker"] = () => Circuits(c => c.Number == Of(BoardUse.Cooking).Number ? c with { Breaker = 25 } : c),
        ["board.cookerSwitch"] = () => Boxes(b => b.Serves == "cooker" ? null : b),
        ["board.heater"] = () => Merged(Of(BoardUse.WaterHeating), Of(BoardUse.WaterHeating, 1)),
        ["board.cooling"] = () => Merged(Of(BoardUse.Cooling), Of(BoardUse.Cooling, 1)),
        ["board.coolingMost"] = () => Number("coolingOnBoardMost", 2),
        ["board.residual"] = () => Space(First(c => c.Board!.Ring && c.Panel == "main").Number, Free("A")),
        ["board.deviceMost"] = () => Number("ringsOnDeviceMost", 1),
        ["board.sections"] = () => Panels(p => p with { Sections = [new(30, p.Spaces / 3)] }),
        ["board.outgoing"] = () => Number("outgoingMost", 5),
        ["board.incomer"] = () => Panels(p => p with { MainBreaker = 160 }),
        ["board.ways"] = () => Panels(p => p with { Spaces = 15 }),
        ["board.spare"] = () => Number("spareWaysShare", 0.5) with { Panels = Panels(p => p with { Spaces = 30 }).Panels },
        ["board.floor"] = () => Planned with { Panels = [Planned.Panels[0]] },
        ["board.weather"] = () =>
            Planned with
            {
                Rooms = [.. Planned.Rooms.Select(r => r.Id == "utility" ? r with { Kind = RoomKind.Porch } : r)],
            },
        ["board.loop"] = () => Panels(p => p with { LoopOhm = 1.36 }),
        ["board.lines"] = () => Space(Of(BoardUse.Cooking).Number, 11),
        ["wire.drop"] = () => Number("dropPercentLights", 0.05),
        ["wire.size"] = () => Planned with { Preferences = Planned.Preferences with { AmbientC = 51 } },
        ["circuit.unassigned"] = () => Circuits(c => c.Number == 1 ? c with { Boxes = c.Boxes[1..] } : c),
        ["box.appliance"] = () => Boxes(b => b.Appliance == "fridge" ? null : b),
    };

    public static TheoryData<string> Rules => [.. Broken.Keys];

    [Theory]
    [MemberData(nameof(Rules))]
    public void A_statement_that_is_broken_is_found(string rule)
    {
        var found = CheckList.Run(HouseDeriver.Derive(Broken[rule]())).Where(f => f.RuleId == rule).ToList();
        found.ShouldNotBeEmpty();
        found.ShouldAllBe(f => f.Citation.Length > 0 && f.Sentence.EndsWith('.'));
    }

    [Fact]
    public void Every_rule_of_boards_that_is_checked_has_its_broken_case() =>
        CheckList.Checked.Where(r => r.StartsWith("board.")).Except(Broken.Keys).ShouldBeEmpty();

    [Theory]
    [InlineData("999 mm", true)]
    [InlineData("1000 mm", false)]
    public void A_socket_stands_a_metre_from_a_sink(string away, bool breaks)
    {
        var box = new Box
        {
            Id = "kitchen.x1",
            Room = "kitchen",
            Kind = BoxKind.Receptacle,
            Wall = 0,
            Along = LengthText.Parse("2400 mm") + LengthText.Parse(away),
            Height = LengthText.Parse("1100 mm"),
        };
        var job = Planned with { Decisions = Planned.Decisions with { Boxes = Planned.Decisions.Boxes.Add(box) } };
        CheckList
            .Run(HouseDeriver.Derive(job))
            .Any(f => f.RuleId == "board.socketWater" && f.Subjects.Contains(Subject.Box(box.Id)))
            .ShouldBe(breaks);
    }

    [Fact]
    public void Of_a_kind_of_room_the_usual_sockets_are_proposed()
    {
        (string Room, int Twins)[] usual =
        [
            ("majlis", 4),
            ("dining", 3),
            ("kitchen", 6),
            ("bed-1", 3),
            ("bed-2", 2),
            ("bed-3", 2),
            ("study", 3),
            ("hall", 1),
            ("utility", 2),
            ("garage", 2),
            ("bath-1", 0),
        ];
        foreach (var (room, twins) in usual)
            Planned.Decisions.Boxes.Count(b => b.Room == room && b.Kind == BoxKind.Receptacle).ShouldBe(twins, room);
    }

    [Fact]
    public void A_board_job_is_written_and_read_again_with_its_rings_and_sections()
    {
        var read = JobFile.Read(JobFile.Write(Planned)).Job!;
        read.Panels[0].Sections!.Value.ShouldBe(Planned.Panels[0].Sections!.Value);
        JobFile.Write(read).ShouldBe(JobFile.Write(Planned));
        read.Decisions.Circuits.Count(c => c.Ring).ShouldBeGreaterThan(4);
    }

    [Theory]
    [InlineData("\"5400 mm\"", "\"5400 m\"", "If millimetres are meant, write mm.")]
    [InlineData("\"5400 mm\"", "\"200 m\"", "Were millimetres meant where it says metres?")]
    [InlineData("\"sb-gulf\"", "\"sb-mars\"", "'sb-mars' is not shipped.")]
    [InlineData("\"sb-gulf\"", "\"us-2023\"", "A dwelling appliance is 120 or 240 V, not 230. 230 V is of Split board, Gulf (basic)")]
    public void What_was_meant_is_said_of_a_wrong_length_and_of_a_job_that_was_relabelled(string part, string instead, string says)
    {
        var text = File.ReadAllText(Path.Combine(JobFileTests.Root(), "demo", "sidr-villa.json"));
        text.ShouldContain(part);
        JobFile
            .Read(text.Replace(part, instead, StringComparison.Ordinal))
            .Problems.Select(x => x.Sentence)
            .ShouldContain(x => x.Contains(says));
    }

    [Theory]
    [InlineData(30, 2_000_000_000, "ways")]
    [InlineData(30, 0, "ways")]
    [InlineData(-1, 4, "milliamps")]
    public void A_section_beyond_any_board_is_refused(int milliamps, int ways, string field)
    {
        var wrong = Panels(p => p with { Sections = [new(100, 4), new(milliamps, ways)] });
        Core.Intake.JobRules.Check(wrong).ShouldContain(x => x.Field == $"panels[0].sections[1].{field}");
        Core.Intake.JobRules.Check(Panels(p => p with { Sections = [.. Enumerable.Repeat(new BoardSection(30, 1), 13)] }))
            .ShouldNotBeEmpty();
    }

    [Fact]
    public void What_is_planned_again_stays_and_what_is_new_joins_its_room()
    {
        Planner.PlanAll(Planned).Decisions.Circuits.Select(c => c.Number).ShouldBe(Planned.Decisions.Circuits.Select(c => c.Number));
        var more = new Box
        {
            Id = "bed-3.x1",
            Room = "bed-3",
            Kind = BoxKind.Receptacle,
            Wall = 1,
            Along = LengthText.Parse("1500 mm"),
            Height = LengthText.Parse("450 mm"),
            By = Origin.Person,
        };
        var grown = Planner.PlanCircuits(Planned with { Decisions = Planned.Decisions with { Boxes = Planned.Decisions.Boxes.Add(more) } });
        var of = HouseDeriver.Derive(grown).CircuitOf(more.Id)!;
        of.Boxes.Count(b => b.Room == "bed-3").ShouldBe(3);
        of.Board!.Ring.ShouldBeTrue("three twins are more than a radial serves");
        grown.Decisions.Circuits.Length.ShouldBe(Planned.Decisions.Circuits.Length);
    }

    [Fact]
    public void A_ring_is_one_closed_walk_no_longer_than_any_order_of_its_points()
    {
        foreach (var c in A.Circuits.Where(c => c.Board!.Ring))
        {
            c.Board!.Closing.ShouldNotBeNull();
            c.Run.Segments.Skip(1).Zip(c.Run.Segments).ShouldAllBe(x => x.First.From == x.Second.To);
            c.Board.Closing.To.ShouldBe(c.Run.Segments[^1].To);
            var runs = new Core.Routing.CableRouter(A.House);
            string[] boxes = [.. c.Run.Segments.Select(s => s.To)];
            Length Loop(IReadOnlyList<string> order) =>
                runs.FromPanel(order[0], c.Panel)
                + order.Zip(order.Skip(1)).Aggregate(Length.Zero, (sum, x) => sum + runs.Between(x.First, x.Second))
                + runs.FromPanel(order[^1], c.Panel);
            var least = Orders(boxes).Min(Loop);
            Loop(boxes).InInches.ShouldBeLessThanOrEqualTo(least.InInches * 1.02, $"ring {c.Number}");
            c.Board.Longest.ShouldBe(Loop(boxes));
        }
    }

    private static IEnumerable<IReadOnlyList<string>> Orders(IReadOnlyList<string> left) =>
        left.Count <= 1
            ? [left]
            : left.SelectMany(x => Orders([.. left.Where(y => y != x)]).Select(rest => (IReadOnlyList<string>)[x, .. rest]));
}
