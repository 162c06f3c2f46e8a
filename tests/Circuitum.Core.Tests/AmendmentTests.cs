using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Intake;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Tests;

/// <summary>Local amendments laid over an edition.</summary>
public partial class AmendmentTests
{
    private static readonly Job Flat = Sample.Whole();

    private static AmendmentLayer Layer(params Amendment[] changes) => new() { Name = "Test layer", Changes = [.. changes] };

    private static Amendment Number(string name, double value) =>
        new()
        {
            Kind = AmendmentKind.Number,
            Target = name,
            Value = value,
            Citation = "1",
        };

    private static Amendment Off(string rule) =>
        new()
        {
            Kind = AmendmentKind.Off,
            Target = rule,
            Citation = "2",
        };

    private static Job With(Job job, params Amendment[] changes) => job with { Amendments = [Layer(changes)] };

    [Fact]
    public void Every_number_of_every_edition_has_its_words_and_lies_in_its_range()
    {
        foreach (var edition in CodeLibrary.Editions.Values)
        {
            // Those of split boards have numbers that the others know nothing of.
            edition.Numbers.Keys.ShouldBeSubsetOf(CodeLibrary.Numbers.Keys, edition.Id);
            CodeLibrary
                .Numbers.Values.Where(n => edition.Board is not null || !n.Rule.StartsWith("board."))
                .Select(n => n.Name)
                .Except(edition.Numbers.Keys)
                .ShouldBeSubsetOf(
                    [
                        "ambientLeastC",
                        "dropPercentLights",
                        "dropPercentOther",
                        "diversityLights",
                        "diversitySockets",
                        "diversityCooking",
                        "diversityHeating",
                        "diversityCooling",
                        "diversityFixed",
                    ],
                    edition.Id
                );
            foreach (var (name, value) in edition.Numbers)
                value.ShouldBeInRange(CodeLibrary.Numbers[name].Least, CodeLibrary.Numbers[name].Most, name);
        }

        CodeLibrary.Numbers.Values.ShouldAllBe(n => CodeLibrary.Editions.Values.Any(e => e.Rules.ContainsKey(n.Rule)));
    }

    [Fact]
    public void Without_layers_the_edition_is_as_published() => CodeLibrary.EditionOf(Flat).ShouldBeSameAs(CodeLibrary.Edition("us-2023"));

    [Fact]
    public void A_changed_number_changes_the_proposal_and_its_citation_names_the_layer()
    {
        var near = Planner.PlanAll(With(Flat, Number("wallReachIn", 48)));
        var far = Planner.PlanAll(Flat);
        int Receptacles(Job job) => job.Decisions.Boxes.Count(b => b.Room == "bedroom" && b.Kind == BoxKind.Receptacle);
        Receptacles(near).ShouldBeGreaterThan(Receptacles(far));
        Analyzer.Analyze(near).Findings.ShouldNotContain(f => f.RuleId == "box.wall");
        var found = Analyzer.Analyze(With(far, Number("wallReachIn", 48))).Findings.First(f => f.RuleId == "box.wall");
        found.Citation.ShouldBe("210.52(A); Test layer, 1");
    }

    [Theory]
    [InlineData("box.hallway", "hall")]
    [InlineData("box.garage", "garage")]
    [InlineData("box.bathroom", "bath")]
    [InlineData("box.wall", "bedroom")]
    public void A_rule_that_is_off_asks_for_nothing_and_finds_nothing(string rule, string room)
    {
        var job = Planner.PlanAll(With(Flat, Off(rule)));
        job.Decisions.Boxes.ShouldNotContain(b => b.Room == room && b.Kind == BoxKind.Receptacle && !b.Outside);
        Analyzer.Analyze(job).Findings.ShouldNotContain(f => f.RuleId == rule);
        Analyzer.Analyze(job with { Amendments = [] }).Findings.ShouldContain(f => f.RuleId == rule);
    }

    [Fact]
    public void Alarms_and_outdoor_receptacles_can_be_switched_off_too()
    {
        var job = Planner.PlanAll(With(Flat, Off("box.alarm"), Off("box.outdoor")));
        job.Decisions.Boxes.ShouldNotContain(b =>
            b.Kind == BoxKind.SmokeAlarm || (b.Kind == BoxKind.Receptacle && (b.Room == "porch" || b.Room == "deck" || b.Outside))
        );
    }

    [Fact]
    public void Protection_that_is_off_is_not_needed()
    {
        var a = Analyzer.Analyze(Planner.PlanAll(With(Flat, Off("protect.arc"))));
        a.Circuits.ShouldAllBe(c => !c.Protection.ArcFault);
        a.Circuits.ShouldContain(c => c.Protection.GroundFault);
    }

    [Fact]
    public void A_changed_grade_is_the_grade_of_its_findings()
    {
        var bent = CheckTests.PlannedWhole.Far("bedroom");
        Analyzer.Analyze(bent).Findings.First(f => f.RuleId == "wire.drop").Severity.ShouldBe(Analysis.Severity.Should);
        Analyzer
            .Analyze(
                With(
                    bent,
                    new Amendment
                    {
                        Kind = AmendmentKind.Rule,
                        Target = "wire.drop",
                        Severity = "must",
                        Citation = "3",
                    }
                )
            )
            .Findings.First(f => f.RuleId == "wire.drop")
            .Severity.ShouldBe(Analysis.Severity.Must);
    }

    [Fact]
    public void Smallest_wire_and_most_receptacles_are_followed_and_found()
    {
        var job = Planner.PlanAll(With(Flat, Number("smallestWireAwg", 12), Number("receptaclesOnCircuitMost", 2)));
        var a = Analyzer.Analyze(job);
        a.Circuits.ShouldAllBe(c => c.Wire!.Size != WireSize.Parse("14"));
        a.Circuits.Where(c => c.Circuit.Purpose == CircuitPurpose.Receptacles).ShouldAllBe(c => c.Boxes.Length <= 2);
        a.Findings.ShouldNotContain(f => f.RuleId == "circuit.mostReceptacles");
        Analyzer
            .Analyze(Planner.PlanAll(Flat) with { Amendments = [Layer(Number("receptaclesOnCircuitMost", 2))] })
            .Findings.ShouldContain(f => f.RuleId == "circuit.mostReceptacles" && f.Citation == "Test layer, 1");
    }

    [Fact]
    public void Added_rules_are_followed_by_their_demand()
    {
        Amendment Add(LocalDemand demand) =>
            new()
            {
                Kind = AmendmentKind.Add,
                Title = "Local",
                Text = "Something local.",
                Citation = "9",
                Demand = demand,
            };
        var bare = Planner.PlanAll(Flat);
        Analyzer
            .Analyze(With(bare, Add(new() { Kind = LocalDemandKind.ByHand })))
            .Findings.ShouldContain(f => f.RuleId == "local.1-1" && f.Sentence.Contains("Something local."));
        Analyzer
            .Analyze(
                With(
                    bare,
                    Add(
                        new()
                        {
                            Kind = LocalDemandKind.Boxes,
                            Room = RoomKind.Bedroom,
                            Box = BoxKind.Light,
                            Least = 3,
                        }
                    )
                )
            )
            .Findings.ShouldContain(f => f.RuleId == "local.1-1" && f.Subjects.Contains(Subject.Parse("room:bedroom")));
        Analyzer
            .Analyze(
                With(
                    bare,
                    Add(
                        new()
                        {
                            Kind = LocalDemandKind.Boxes,
                            Room = RoomKind.Bedroom,
                            Box = BoxKind.Light,
                            Least = 1,
                        }
                    )
                )
            )
            .Findings.ShouldNotContain(f => f.RuleId == "local.1-1");
        var ground = Analyzer.Analyze(With(bare, Add(new() { Kind = LocalDemandKind.GroundFault, Room = RoomKind.Bedroom })));
        ground
            .Circuits.Where(c => c.Boxes.Any(b => b.Room == "bedroom" && b.Kind == BoxKind.Receptacle))
            .ShouldAllBe(c => c.Protection.GroundFault);
        var arc = Analyzer.Analyze(With(bare, Add(new() { Kind = LocalDemandKind.ArcFault, Room = RoomKind.Garage })));
        arc.Circuits.Where(c => c.Boxes.Any(b => b.Room == "garage" && b.Kind == BoxKind.Receptacle))
            .ShouldAllBe(c => c.Protection.ArcFault);
        var own = Analyzer.Analyze(
            Planner.PlanAll(
                With(
                    Flat with
                    {
                        Appliances = Flat.Appliances.Add(
                            new Appliance
                            {
                                Id = "door",
                                Type = "garage-door",
                                Room = "garage",
                                Spot = new Spot
                                {
                                    At = Sample.P(5, 30),
                                    Width = Length.Feet(1),
                                    Depth = Length.Feet(1),
                                },
                            }
                        ),
                    },
                    Add(new() { Kind = LocalDemandKind.OwnCircuit, Appliance = "garage-door" })
                )
            )
        );
        own.CircuitOf(own.Job.Decisions.Boxes.Single(b => b.Appliance == "door").Id)!.Boxes.Length.ShouldBe(1);
    }

    [Fact]
    public void The_upper_layer_wins_and_a_layer_that_is_off_does_not_count()
    {
        var (low, high) = (
            Layer(Number("wallReachIn", 60)) with
            {
                Name = "County",
            },
            Layer(Number("wallReachIn", 48)) with
            {
                Name = "City",
            }
        );
        CodeLibrary.EditionOf(Flat with { Amendments = [low, high] }).Number("wallReachIn").Value.ShouldBe(48);
        CodeLibrary.EditionOf(Flat with { Amendments = [low, high with { On = false }] }).Number("wallReachIn").Value.ShouldBe(60);
        CodeLibrary.EditionOf(Flat with { Amendments = [low, high] }).FullName.ShouldBe("United States, 2023 edition, with County, City");
    }

    [Fact]
    public void The_samples_pass_in_every_edition_and_leave_a_house_without_must_findings()
    {
        CodeLibrary.SampleLayers.Length.ShouldBe(2);
        foreach (var edition in CodeLibrary.IdsOf("us"))
        {
            var job = Flat with { CodeEdition = edition, Amendments = CodeLibrary.SampleLayers };
            JobRules.Check(job).ShouldBeEmpty(edition);
            Analyzer.Analyze(Planner.PlanAll(job)).Findings.ShouldNotContain(f => f.Severity == Analysis.Severity.Must, edition);
        }
    }
}
