using Circuitum.Core.Analysis;
using Circuitum.Core.Commands;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Review;
using Circuitum.Core.Takeoff;

namespace Circuitum.Core.Tests;

/// <summary>Cuts on reels: nothing lost, nothing longer than its reel, coils no more than one over the bound.</summary>
public sealed class ReelTests
{
    private static (int[] Cuts, int[] Open, int Coil) Made(int seed, int count)
    {
        var random = new Random(seed);
        return (
            [.. Enumerable.Range(0, count).Select(_ => random.Next(5 * 12, (random.Next(6) == 0 ? 140 : 70) * 12))],
            [.. Enumerable.Range(0, random.Next(6)).Select(_ => random.Next(10 * 12, 230 * 12)).Order()],
            random.Next(4) == 0 ? 125 * 12 : 250 * 12
        );
    }

    [Fact]
    public void Up_to_300_cuts_take_at_most_one_coil_more_than_any_way_needs()
    {
        for (var seed = 0; seed < 120; seed++)
        {
            var (cuts, open, coil) = Made(seed, 10 + (seed * 37 % 291));
            cuts = [.. cuts.Select(c => Math.Min(c, coil))];
            var (of, coils, bound) = CutSolver.Solve(cuts, open, coil);
            int[] reels = [.. open, .. Enumerable.Repeat(coil, coils)];
            for (var r = 0; r < reels.Length; r++)
                cuts.Where((_, i) => of[i] == r).Sum().ShouldBeLessThanOrEqualTo(reels[r], $"seed {seed}");
            of.ShouldAllBe(r => r >= 0 && r < reels.Length);
            coils.ShouldBeInRange(bound, bound + 1, $"seed {seed}");
        }
    }

    [Fact]
    public void Every_cable_of_the_runs_is_cut_once_in_60_houses()
    {
        foreach (var (seed, a) in HouseSet.All.Take(60))
        {
            var plans = CutPlan.Of(a);
            plans.Select(p => (p.Cable, p.Cut.Units)).ShouldBe(a.Cable.ByType.Select(t => (t.Cable, t.Cut.Units)), $"house {seed}");
            foreach (var plan in plans)
            {
                plan.Reels.ShouldAllBe(r => r.Leftover >= Length.Zero, $"house {seed}: {plan.Cable}");
                plan.Reels.SelectMany(r => r.Cuts).Select(c => (c.Circuit, c.From, c.To, c.Length)).Count().ShouldBeGreaterThan(0);
            }
        }
    }

    [Fact]
    public void Open_reels_are_used_up_first_and_a_measured_pull_takes_from_its_reel()
    {
        var job = Do(HouseSet.All[3].House.Job, new KeepReel("12-2", Length.Feet(90), "van"));
        var a = Analyzer.Analyze(job);
        var plan = CutPlan.Of(a).First(p => p.Cable == "12-2");
        plan.Reels[0].Reel!.Id.ShouldBe("12-2.1");
        plan.Reels[0].Leftover.ShouldBeLessThan(Length.Feet(8));
        plan.Reels[0].Name.ShouldBe("reel 12-2.1, van");

        var circuit = a.Circuits.First(c => $"{c.Cable}" == "12-2" && !c.Carried && c.Run.First is not null);
        var pulled = Do(job, new MarkPulled(circuit.Number, Measured: Length.Feet(40), Reel: "12-2.1"));
        CutPlan.LeftOn(pulled, pulled.Stock!.Reels[0]).ShouldBe(Length.Feet(50));
        var after = CutPlan.Of(Analyzer.Analyze(pulled)).First(p => p.Cable == "12-2");
        after.Reels.SelectMany(r => r.Cuts).ShouldNotContain(c => c.Circuit == circuit.Number && c.From == null);
        after.Reels.First(r => r.Reel is not null).Begins.ShouldBe(Length.Feet(50));

        // Somebody looks: 44 ft are left, and what was pulled stays pulled.
        var looked = Do(pulled, new KeepReel("12-2", Length.Feet(44), "van", "12-2.1"));
        CutPlan.LeftOn(looked, looked.Stock!.Reels[0]).ShouldBe(Length.Feet(44));
        Do(looked, new RemoveReel("12-2.1")).Decisions.Pulled[0].Reel.ShouldBeNull();
    }

    // One reel of two is empty; the other goes on to the next job, and no foot is in both.
    [Fact]
    public void What_is_left_on_the_reels_goes_to_the_next_job_once()
    {
        var a = HouseSet.All[3].House;
        var circuit = a.Circuits.First(c => $"{c.Cable}" == "12-2" && !c.Carried && c.Run.First is not null).Number;
        var first = Do(a.Job, new KeepReel("12-2", Length.Feet(90), "van"));
        first = Do(Do(first, new KeepReel("14-2", Length.Zero)), new MarkPulled(circuit, Measured: Length.Feet(30), Reel: "12-2.1"));
        var next = Do(Do(HouseSet.All[4].House.Job, new KeepReel("12-2", Length.Feet(10))), new BringReels(first));
        next.Stock!.Reels.Select(r => (r.Id, r.Held.InFeet, r.Place)).ShouldBe([("12-2.1", 10, ""), ("12-2.2", 60, "van")]);

        var given = Do(first, new GiveReels("Otter Bend"));
        given.Stock!.Reels.Select(r => (CutPlan.LeftOn(given, r).InFeet, r.Place)).ShouldBe([(0, "gone to Otter Bend"), (0, "")]);
        given.Decisions.Pulled.ShouldBe(first.Decisions.Pulled);
        new BringReels(given).Apply(next).Problem.ShouldBe("Job: nothing is left on its reels.");
        new GiveReels("x").Apply(given).Problem.ShouldBe("Nothing is left on the reels.");
    }

    [Fact]
    public void Every_home_run_can_be_ticked_off_in_six_houses()
    {
        foreach (var (seed, a) in HouseSet.All.Take(6))
        {
            var job = a
                .Circuits.Where(c => !c.Carried && c.Run.First is not null)
                .Aggregate(a.Job, (j, c) => Do(j, new MarkPulled(c.Number)));
            var after = HouseDeriver.Derive(job);
            after.Circuits.Where(c => !c.Carried && c.Run.First is not null).ShouldAllBe(c => c.Pulled != null, $"house {seed}");
            after.Circuits.Select(c => c.Run.First).ShouldBe(a.Circuits.Select(c => c.Run.First), $"house {seed}");
        }
    }

    [Theory]
    [InlineData("13-2", 50, null, "Cable: '13-2' is none. Write it like 12-2.")]
    [InlineData("12-2", 6000, null, "Left on the reel: 6000'-0\" is outside 0 to 5000 ft.")]
    [InlineData("12-2", 50, "x", "There is no reel 'x' any more.")]
    public void A_reel_that_cannot_be_is_refused(string cable, double feet, string? reel, string sentence) =>
        new KeepReel(cable, Length.Feet(feet), "", reel).Apply(HouseSet.All[3].House.Job).Problem.ShouldBe(sentence);

    [Fact]
    public void A_pull_names_a_reel_of_its_cable()
    {
        var a = HouseSet.All[3].House;
        var job = Do(a.Job, new KeepReel("10-2", Length.Feet(90)));
        var circuit = a.Circuits.First(c => $"{c.Cable}" == "12-2" && !c.Carried && c.Run.First is not null).Number;
        new MarkPulled(circuit, Reel: "10-2.1")
            .Apply(job)
            .Problem.ShouldBe($"On reel 10-2.1 is 10-2; the home run of circuit {circuit} is 12-2.");
        new MarkPulled(circuit, Reel: "7").Apply(job).Problem.ShouldBe("There is no reel '7'.");
    }

    private static Job Do(Job job, Edits.JobCommand command)
    {
        var result = command.Apply(job);
        result.Problem.ShouldBeEmpty();
        return result.Job!;
    }
}
