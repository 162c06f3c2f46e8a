using System.Text.Json.Nodes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Planning;
using Circuitum.Core.Review;
using NJsonSchema;

namespace Circuitum.Formats.Tests;

// Facts that are wrong.
public partial class JobFileTests
{
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
}
