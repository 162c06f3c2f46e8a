using System.Globalization;
using Circuitum.Core.Analysis;
using Circuitum.Core.Field;

namespace Circuitum.Formats;

/// <summary>The tests before the walls close as a list: what was expected and what was found, box by box.</summary>
public static class TestReportCsv
{
    /// <summary>Writes it.</summary>
    /// <param name="a">The house.</param>
    /// <param name="state">What was said.</param>
    public static string Write(JobAnalysis a, FieldState state) =>
        ScheduleCsv.Lines(
            TestPlan
                .Of(a)
                .Steps.Select(step =>
                {
                    var said = state[step.Task.Key];
                    return new[]
                    {
                        step.Circuit.Number.ToString(CultureInfo.InvariantCulture),
                        step.Circuit.Label,
                        step.Task.Title,
                        string.Join(" ", step.Task.Lines),
                        said.Value,
                        state.IsDone(step.Task) ? "as expected"
                        : said.State == FieldSaid.Wrong ? "differs"
                        : "not tested",
                        said.By,
                        said.State == FieldSaid.Open ? "" : said.At.ToString("yyyy-MM-dd HH:mm", CultureInfo.InvariantCulture),
                    };
                })
                .Prepend(["circuit", "serves", "at", "expected", "found", "result", "by", "when"])
        );
}
