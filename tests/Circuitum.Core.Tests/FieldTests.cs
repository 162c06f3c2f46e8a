using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Field;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Takeoff;

namespace Circuitum.Core.Tests;

/// <summary>What is to be done in the field, and what was said of it.</summary>
public class FieldTests
{
    private static readonly DateTime Noon = new(2026, 5, 4, 12, 0, 0, DateTimeKind.Utc);

    private static int next;

    private static FieldEntry Said(string task, FieldSaid state, string value = "", string by = "Ann", int minute = 0, string mark = "") =>
        new($"entry-{Interlocked.Increment(ref next):000000}", task, state, value, mark, by, Noon.AddMinutes(minute)) { Number = next };

    private static FieldTask Task(FieldWork work = FieldWork.Set, string mark = "") =>
        new("set/hall.r1", work, "hall", Subject.Box("hall.r1"), "hall.r1", "", []) { Mark = mark };

    // Every box is set once, every cable pulled once, every wall with something in it secured and photographed; each name holds one thing.
    [Fact]
    public void In_100_houses_each_box_and_each_cable_is_one_thing_to_do()
    {
        foreach (var (seed, a) in HouseSet.All.Take(100))
        {
            var tasks = FieldPlan.Of(a);
            tasks.Select(t => t.Key).ShouldBeUnique($"house {seed}");
            tasks.ShouldAllBe(t => t.Key.Length <= FieldRules.LongestTask && t.Mark.Length <= FieldRules.LongestMark);
            tasks.ShouldAllBe(t => a.Job.RoomById(t.Room) != null && t.Title.Length > 0 && t.Lines.All(l => l.Length > 0));
            Of(FieldWork.Set)
                .Select(t => t.Subject.Id)
                .ShouldBe(a.Job.Decisions.Boxes.Select(b => b.Id), ignoreOrder: true, $"house {seed}");
            var cables =
                a.Circuits.Where(c => !c.Carried).SelectMany(c => c.Run.Cables).Count()
                + a.Circuits.Where(c => c.Carried).SelectMany(c => c.Run.Cables).Count(s => s.From is not null);
            Of(FieldWork.Pull).Count().ShouldBe(cables + a.Panels.Count(p => p.Feeder is not null), $"house {seed}");
            Of(FieldWork.Pull)
                .Sum(t => t.Cut?.InFeet ?? 0)
                .ShouldBe(
                    a.Circuits.Where(c => !c.Carried).SelectMany(c => c.Run.Cables).Sum(s => s.Cut.InFeet)
                        + a.Circuits.Where(c => c.Carried)
                            .SelectMany(c => c.Run.Cables)
                            .Where(s => s.From is not null)
                            .Sum(s => s.Cut.InFeet)
                        + a.Panels.Sum(p => p.Feeder?.Cut.InFeet ?? 0),
                    0.01,
                    $"house {seed}"
                );
            Of(FieldWork.Test).Select(t => t.Key).Count().ShouldBe(TestPlan.Of(a).Steps.Length, $"house {seed}");
            Of(FieldWork.Secure).Select(t => t.Subject).ShouldBeSubsetOf(Of(FieldWork.Photograph).Select(t => t.Subject));
            IEnumerable<FieldTask> Of(FieldWork work) => tasks.Where(t => t.Work == work);
        }
    }

    // A box's wires are those of its cables, whichever way they are counted, and every one of them is in a step.
    [Fact]
    public void In_60_houses_the_guide_of_each_box_names_its_line_and_each_of_its_joints()
    {
        foreach (var (seed, a) in HouseSet.All.Take(60))
        {
            foreach (var box in a.Job.Decisions.Boxes.Where(b => a.CircuitOf(b.Id) is { Wire: not null }))
            {
                var guide = MakeUpGuide.Of(a, box);
                var cables = a.CircuitOf(box.Id)!.Run.Cables.Where(c => c.To == box.Id || c.From == box.Id).ToList();
                if (cables.Count == 0)
                    continue;
                var why = $"house {seed}, {box.Id}";
                guide.Steps.Length.ShouldBeGreaterThan(2, why);
                var feeds = cables.Where(c => c.To == box.Id && (c.Wires?.Hot ?? true)).ToList();
                (guide.Line.Length > 0).ShouldBe(feeds.Count > 0, why);
                if (feeds.Count > 0)
                    feeds.ShouldContain(f => guide.Line.EndsWith(f.From ?? f.Via ?? "the panel", StringComparison.Ordinal), why);
                guide.Joints.Select(j => j.What).ShouldBe(BoxSplices.Joints(a, box).Select(j => j.What), ignoreOrder: true, why);
                guide.Joints.Where(j => j.Ground).ShouldAllBe(j => j.Wires >= cables.Count, why);
                foreach (var joint in guide.Joints)
                    guide.Steps.ShouldContain(s => s.StartsWith(joint.What, StringComparison.OrdinalIgnoreCase), why);
            }
        }
    }

    [Fact]
    public void The_walk_of_a_test_is_the_shortest_of_all_orders()
    {
        var random = new Random(7);
        for (var n = 2; n <= 7; n++)
        {
            var at = Enumerable.Range(0, n + 1).Select(_ => (X: random.NextDouble() * 40, Y: random.NextDouble() * 40)).ToList();
            var feet = new double[n + 1, n + 1];
            for (var i = 0; i <= n; i++)
            {
                for (var j = 0; j <= n; j++)
                    feet[i, j] = Math.Sqrt(Math.Pow(at[i].X - at[j].X, 2) + Math.Pow(at[i].Y - at[j].Y, 2));
            }

            var best = Orders([.. Enumerable.Range(1, n)]).Min(o => TestWalk.LengthOf(feet, o));
            TestWalk.LengthOf(feet, TestWalk.Round(feet)).ShouldBe(best, 1e-9, $"{n} stops");
        }
    }

    private static IEnumerable<ImmutableArray<int>> Orders(ImmutableArray<int> stops) =>
        stops.Length <= 1 ? [stops] : stops.SelectMany(s => Orders(stops.Remove(s)).Select(rest => rest.Insert(0, s)));

    [Fact]
    public void In_100_houses_each_circuit_is_tested_box_by_box_once()
    {
        foreach (var (seed, a) in HouseSet.All.Take(100))
        {
            foreach (var c in a.Circuits.Where(c => c.Run.First is not null))
                TestWalk
                    .Order(a, c)
                    .Select(b => b.Id)
                    .ShouldBe(c.Run.Segments.Select(s => s.To).Distinct(), ignoreOrder: true, $"house {seed}");
        }
    }

    // Under power a receptacle shows what the supply has, whatever house it is in; the words of a device name just what it covers.
    [Fact]
    public void In_40_houses_what_is_expected_live_is_what_the_supply_gives()
    {
        foreach (var (seed, a) in HouseSet.All.Take(40))
        {
            foreach (var c in a.Circuits.Where(c => c is { Wire: not null, Run.First: not null }))
            {
                var expected = new ExpectedReadings(a, c);
                foreach (var box in c.Run.Segments.Select(s => a.Boxes[s.To]))
                {
                    var why = $"house {seed}, circuit {c.Number}, {box.Id}";
                    var lines = expected.Live(box);
                    lines.ShouldNotBeEmpty(why);
                    if (box.Kind == BoxKind.Receptacle)
                        lines.ShouldContain(l => l.StartsWith("120 V hot to neutral, 120 V hot to ground, under 2 V"), why);
                    if (c.Protection.In(box.Id) is not { } device)
                        continue;
                    var test = lines.Single(l => l.StartsWith("Press test", StringComparison.Ordinal));
                    foreach (var covered in device.Covers.Where(b => a.Boxes[b].Kind == BoxKind.Receptacle && b != box.Id))
                        test.ShouldContain(covered, Case.Sensitive, why);
                }
            }
        }
    }

    [Fact]
    public void The_last_word_holds_whoever_said_it_and_a_remark_changes_nothing()
    {
        var state = FieldState.Of([
            Said("a", FieldSaid.Done, by: "Ann", minute: 1),
            Said("a", FieldSaid.Open, by: "Bo", minute: 3),
            Said("a", FieldSaid.Done, by: "Cy", minute: 2),
            Said("a", FieldSaid.Note, "the stud is split", minute: 4),
        ]);
        state["a"].State.ShouldBe(FieldSaid.Open);
        state["a"].By.ShouldBe("Bo");
        state["a"].Notes.Single().Value.ShouldBe("the stud is split");
        state["b"].ShouldBe(TaskState.Untouched);
        FieldState.Of([Said("a", FieldSaid.Done), Said("a", FieldSaid.Done, by: "Bo")])["a"].State.ShouldBe(FieldSaid.Done);
    }

    // In whatever order entries come from several phones, the same is known in the end.
    [Fact]
    public void What_is_known_does_not_depend_on_the_order_in_which_entries_come()
    {
        var random = new Random(11);
        for (var round = 0; round < 200; round++)
        {
            var said = Enumerable
                .Range(0, 12)
                .Select(i =>
                    Said(
                        $"t{random.Next(3)}",
                        (FieldSaid)random.Next(4),
                        random.Next(2) == 0 ? "" : $"{random.Next(9)}",
                        $"p{random.Next(3)}",
                        i
                    )
                )
                .ToList();
            var (one, other) = (FieldState.Of(said), FieldState.Of([.. said.OrderBy(_ => random.Next())]));
            foreach (var (task, state) in one.All)
            {
                other[task].State.ShouldBe(state.State);
                other[task].Value.ShouldBe(state.Value);
                other[task].Measures.Select(m => m.Id).ShouldBe(state.Measures.Select(m => m.Id));
            }
        }
    }

    [Fact]
    public void Two_who_measured_differently_are_told_until_somebody_says_which_holds()
    {
        var ann = Said("pull/7", FieldSaid.Done, "43", "Ann", 1);
        var bo = Said("pull/7", FieldSaid.Done, "51", "Bo", 2);
        var state = FieldState.Of([ann, bo])["pull/7"];
        state.Contested.ShouldBeTrue();
        state.Measures.Select(m => m.Value).ShouldBe(["43", "51"]);
        FieldState.Of([ann, Said("pull/7", FieldSaid.Done, "43", "Bo", 2)])["pull/7"].Contested.ShouldBeFalse();
        var settled = FieldState.Of([ann, bo, Said("pull/7", FieldSaid.Settled, "51", "Owner", 3)])["pull/7"];
        (settled.Contested, settled.Value, settled.State).ShouldBe((false, "51", FieldSaid.Done));
    }

    [Fact]
    public void What_was_done_is_not_done_any_more_when_the_plan_says_something_else()
    {
        var state = FieldState.Of([Said("set/hall.r1", FieldSaid.Done, mark: "north wall, 4'-2\"")]);
        state.IsDone(Task(mark: "north wall, 4'-2\"")).ShouldBeTrue();
        state.IsDone(Task(mark: "north wall, 6'-0\"")).ShouldBeFalse();
        state.WasDoneAs(Task(mark: "north wall, 6'-0\"")).ShouldBe("north wall, 4'-2\"");
        FieldState.Of([Said("set/hall.r1", FieldSaid.Done)]).IsDone(Task(mark: "north wall")).ShouldBeTrue();
    }

    [Theory]
    [InlineData("short", FieldSaid.Done, "", "8 to 40")]
    [InlineData("entry-with-<b>", FieldSaid.Done, "", "8 to 40")]
    [InlineData("entry-0001", FieldSaid.Wrong, " ", "say what is wrong")]
    [InlineData("entry-0001", FieldSaid.Note, "", "without words")]
    [InlineData("entry-0001", FieldSaid.Done, "abc", "no length")]
    [InlineData("entry-0001", FieldSaid.Done, "-4", "no length")]
    [InlineData("entry-0001", FieldSaid.Done, "99999", "no length")]
    [InlineData("entry-0001", FieldSaid.Note, "bell\u0007", "400 letters")]
    public void What_cannot_be_is_refused_in_a_sentence(string id, FieldSaid state, string value, string says) =>
        FieldRules
            .Check(new(id, "pull/7", state, value, "", "Ann", Noon), Task(FieldWork.Pull), LengthUnits.FeetInches)
            .ShouldContain(says);

    [Fact]
    public void A_tick_for_what_is_gone_names_it()
    {
        FieldRules
            .Check(Said("set/hall.r9", FieldSaid.Done), null, LengthUnits.Metric)
            .ShouldContain("'hall.r9' is not in the plan any more");
        FieldRules.Check(Said("set/hall.r1", FieldSaid.Done), Task(), LengthUnits.Metric).ShouldBeEmpty();
        FieldRules.Check(Said("set/hall.r1", (FieldSaid)77), Task(), LengthUnits.Metric).ShouldNotBeEmpty();
    }

    [Theory]
    [InlineData("43", 43.0, null)]
    [InlineData("43.5", 43.5, null)]
    [InlineData("43'-6\"", 43.5, null)]
    [InlineData("43 from B2", 43.0, "B2")]
    [InlineData("13 m", 42.65, null)]
    [InlineData("", null, null)]
    public void A_pull_is_feet_and_a_reel(string text, double? feet, string? reel)
    {
        var (measured, from) = FieldRules.Pull(text, LengthUnits.FeetInches);
        (measured is { } took ? Math.Round(took.InFeet, 2) : (double?)null).ShouldBe(feet);
        from.ShouldBe(reel);
    }

    [Theory]
    [InlineData("13", 13.0)]
    [InlineData("13.2", 13.2)]
    [InlineData("13.2 m from B2", 13.2)]
    [InlineData("609", 609.0)]
    [InlineData("610", null)]
    public void A_pull_of_a_metric_house_is_metres(string text, double? metres)
    {
        var (measured, _) = FieldRules.Pull(text, LengthUnits.Metric);
        (measured is { } took ? Math.Round(took.InFeet * LengthText.MetresInFoot, 3) : (double?)null).ShouldBe(metres);
        if (metres is null)
            FieldRules
                .Check(new("entry-0001", "pull/7", FieldSaid.Done, text, "", "Ann", Noon), Task(FieldWork.Pull), LengthUnits.Metric)
                .ShouldContain("Type metres");
    }

    [Fact]
    public void What_failed_what_changed_since_and_walls_without_a_picture_want_a_person()
    {
        var a = HouseSet.All[0].House;
        FieldTask[] tasks = [.. FieldPlan.Of(a), .. CheckOff.Tasks(a)];
        FieldRemark.Of(a, tasks, FieldState.None).ShouldBeEmpty();
        FieldTask First(FieldWork work) => tasks.First(t => t.Work == work);

        // Nothing is said of pictures before the boards are near; then each wall that has none is.
        var secured = Said(First(FieldWork.Secure).Key, FieldSaid.Done);
        var walls = tasks.Count(t => t.Work == FieldWork.Photograph);
        var bare = FieldRemark.Of(a, tasks, FieldState.Of([secured])).Single();
        bare.Severity.ShouldBe(Severity.Should);
        bare.Sentence.ShouldStartWith($"{walls} walls have no picture");
        var taken = tasks.Where(t => t.Work == FieldWork.Photograph).Select(t => Said(t.Key, FieldSaid.Done));
        FieldRemark.Of(a, tasks, FieldState.Of([secured, .. taken])).ShouldBeEmpty();

        var check = CheckOff.Of(a)[0].Task;
        var failed = FieldRemark.Of(a, tasks, FieldState.Of([Said(check.Key, FieldSaid.Wrong, "one box too deep", "Bo")])).Single();
        failed.Severity.ShouldBe(Severity.Must);
        failed.Sentence.ShouldContain("failed: one box too deep (Bo)");
        var box = First(FieldWork.Set);
        var moved = FieldRemark.Of(a, tasks, FieldState.Of([Said(box.Key, FieldSaid.Done, mark: "south wall, 1'-0\"")])).Single();
        moved.Sentence.ShouldContain("before the plan changed: then south wall, 1'-0\", now ");
    }
}
