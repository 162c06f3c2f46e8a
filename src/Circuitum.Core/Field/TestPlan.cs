using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Field;

/// <summary>One box to test on one circuit.</summary>
/// <param name="Circuit">The circuit.</param>
/// <param name="Box">The box; none for what is done at the panel.</param>
/// <param name="Task">The task, its lines what is expected.</param>
public sealed record TestStep(CircuitAnalysis Circuit, string? Box, FieldTask Task);

/// <summary>
/// The tests before the walls close, dead or live as the job wants it: circuit by circuit, the boxes of each in the order of the shortest
/// walk from the panel and back. What is expected at each box is worked out with the circuit as a network.
/// </summary>
/// <param name="Way">Dead or live.</param>
/// <param name="Cautions">What to mind.</param>
/// <param name="Steps">The steps in their order.</param>
public sealed record TestPlan(RoughTesting Way, ImmutableArray<string> Cautions, ImmutableArray<TestStep> Steps)
{
    /// <summary>The tests of a house.</summary>
    public static TestPlan Of(JobAnalysis a)
    {
        var rough = RoughTest.Of(a);
        return new(
            rough.Way,
            rough.Cautions,
            [.. a.Circuits.Where(c => c.Run.First is not null).SelectMany(c => StepsOf(a, c, rough.Way))]
        );
    }

    /// <summary>The steps of one circuit.</summary>
    private static IEnumerable<TestStep> StepsOf(JobAnalysis a, CircuitAnalysis c, RoughTesting way)
    {
        var expected = c.Wire is null ? null : new ExpectedReadings(a, c);
        foreach (var box in TestWalk.Order(a, c))
        {
            var lines =
                expected is null ? [$"the same as at the other boxes of circuit {c.Number}"]
                : way == RoughTesting.Live ? expected.Live(box)
                : expected.Dead(box);
            yield return Step(a, c, box, lines);
        }

        if (expected is not null && way == RoughTesting.Live && a.PanelById(c.Panel) is { } panel)
        {
            var lines = expected.Breaker();
            yield return new(
                c,
                null,
                new($"test/{c.Number}", FieldWork.Test, panel.Panel.Room, Subject.Circuit(c.Number), $"Breaker {c.Number}", c.Label, lines)
                {
                    Mark = string.Join("; ", lines),
                }
            );
        }
    }

    private static TestStep Step(JobAnalysis a, CircuitAnalysis c, Box box, ImmutableArray<string> lines) =>
        new(
            c,
            box.Id,
            new(
                $"test/{c.Number}/{box.Id}",
                FieldWork.Test,
                box.Room,
                Subject.Box(box.Id),
                box.Id,
                $"{a.Specs[box.Id].Device.Split(',')[0]}, circuit {c.Number}",
                lines
            )
            {
                Wall = box.Wall,
                Label = a.Specs[box.Id].Mark,
                Mark = string.Join("; ", lines),
            }
        );
}
