using Circuitum.Core.Measure;
using Circuitum.Core.Training;

namespace Circuitum.Core.Tests;

/// <summary>Questions of the trainer: by their numbers the same again, with an answer that is right.</summary>
public class TrainerTests
{
    [Theory]
    [InlineData(Exercise.Reach)]
    [InlineData(Exercise.LineLoad)]
    [InlineData(Exercise.Dark)]
    [InlineData(Exercise.Tester)]
    [InlineData(Exercise.Size)]
    [InlineData(Exercise.Wall)]
    [InlineData(Exercise.Walk)]
    public void Each_kind_has_questions_with_an_answer_in_20_houses(Exercise kind)
    {
        var made = 0;
        foreach (var (seed, a) in HouseSet.All.Take(20))
        {
            for (var n = 1; n <= 3; n++)
            {
                if (Trainer.Make(a, kind, n) is not { } q)
                    continue;
                made++;
                var why = $"house {seed}, {kind} {n}";
                q.Choices.Select(c => (c.Place, c.Text)).ShouldBeUnique(why);
                q.Choices.Length.ShouldBeGreaterThan(1, why);
                q.Choices.Count(c => c.Right).ShouldBeGreaterThan(0, why);
                if (!q.Many)
                    q.Choices.Count(c => c.Right).ShouldBe(1, why);
                int[] right = [.. Enumerable.Range(0, q.Choices.Length).Where(i => q.Choices[i].Right)];
                q.Score(right).ShouldBe(1, why);
                q.Score([]).ShouldBe(0, why);
                q.Score([-1, 99]).ShouldBe(0, why);
                q.Score([.. Enumerable.Range(0, q.Choices.Length).Except(right)]).ShouldBe(0, why);
                var again = Trainer.Make(a, kind, n)!;
                (again.Text, string.Join('|', again.Choices)).ShouldBe((q.Text, string.Join('|', q.Choices)), why);
                string.Join(' ', [q.Text, q.Why, .. q.Facts]).ShouldNotContain("safe to touch", Case.Insensitive, why);
            }
        }

        made.ShouldBeGreaterThanOrEqualTo(25);
    }

    // Reach is what the protection itself says that the device covers.
    [Fact]
    public void What_a_device_reaches_is_what_it_covers()
    {
        foreach (var (_, a) in HouseSet.All.Take(20))
        {
            if (Trainer.Make(a, Exercise.Reach, 1) is not { } q)
                continue;
            var right = q.Choices.Where(c => c.Right).Select(c => c.Text).ToHashSet();
            var device = a
                .Circuits.SelectMany(c => c.Protection.Devices)
                .Single(d => d.Box is not null && q.Text.Contains($"in {d.Box} is", StringComparison.Ordinal));
            right.ShouldBeSubsetOf([device.Box!, .. device.Covers]);
            right.ShouldContain(device.Box!);
        }
    }

    // However near or far the job itself staples, what is shown as right passes and what is shown as wrong does not.
    [Theory]
    [InlineData("2\"", "2'")]
    [InlineData("12\"", "4'-6\"")]
    [InlineData("16\"", "6'")]
    public void What_is_right_in_a_wall_keeps_the_limits_whatever_the_job_prefers(string fromBox, string every)
    {
        var job = HouseSet.All[0].House.Job;
        var a = Analyzer.Analyze(
            job with
            {
                Preferences = job.Preferences with { StapleFromBox = LengthText.Parse(fromBox), StapleEvery = LengthText.Parse(every) },
            }
        );
        // Boxes without clamps want the first staple nearer.
        var nearest = a.Specs.Values.Any(s => s.Entry is { Clamps: false, Metal: false }) ? 8 : 12;
        var told = new HashSet<bool>();
        for (var n = 1; n <= 40; n++)
        {
            foreach (var c in Trainer.Make(a, Exercise.Wall, n)!.Choices)
            {
                foreach (var (begin, end, most) in new[] { ("first staple ", " from the box", nearest), ("staples every ", "", 54) })
                {
                    if (!c.Text.StartsWith(begin, StringComparison.Ordinal))
                        continue;
                    var length = LengthText.Parse(c.Text[begin.Length..^end.Length]);
                    (length > Length.Inches(most)).ShouldBe(c.Right, c.Text);
                    told.Add(c.Right);
                }
            }
        }

        told.Count.ShouldBe(2);
    }
}
