using Circuitum.Core.Bench;
using Circuitum.Web.Work;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Circuitum.Web.Pages;

/// <summary>Quick answers without a job.</summary>
public sealed class BenchModel : PageModel
{
    /// <summary>The question.</summary>
    public BenchQuestion Question { get; private set; } = BenchDesk.Questions[0];

    /// <summary>The answer, or none while nothing is told.</summary>
    public BenchAnswer? Answer { get; private set; }

    /// <summary>What is wrong with what was told.</summary>
    public BenchException? Problem { get; private set; }

    /// <summary>Shows a question, and its answer when it was told what it needs.</summary>
    public IActionResult OnGet(string? question)
    {
        if (question is not null)
        {
            if (BenchDesk.Find(question) is not { } asked)
                return NotFound();
            Question = asked;
        }

        var told = BenchApi.FieldsOf(Request.Query).Where(t => t.Name != "question").ToList();
        if (told.Count == 0)
            return Page();
        try
        {
            Answer = BenchDesk.Ask(Question, told.SelectMany(Lines));
        }
        catch (BenchException problem)
        {
            Problem = problem;
        }

        return Page();
    }

    /// <summary>What was told of a field.</summary>
    public string Said(BenchField field) => string.Join(Environment.NewLine, Request.Query[field.Name].Select(v => v ?? ""));

    // A field that may be told several times is one with lines.
    private IEnumerable<(string, string)> Lines((string Name, string Value) told) =>
        Question.Fields.Any(f => f.Name == told.Name && f.Many)
            ? told.Value.Split('\n', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries).Select(v => (told.Name, v))
            : [told];

    /// <summary>A result as it is read.</summary>
    public static string Show(object? value) =>
        value switch
        {
            null => "none",
            bool yes => yes ? "yes" : "no",
            string text => text,
            double number => number.ToString("#,0.###", System.Globalization.CultureInfo.InvariantCulture),
            System.Collections.IEnumerable list => string.Join(
                "; ",
                list.Cast<object?>()
                    .Select(v =>
                        v is System.Collections.IEnumerable and not string
                            ? string.Join(" + ", ((System.Collections.IEnumerable)v).Cast<object?>().Select(Show))
                            : Show(v)
                    )
            ),
            _ => value.ToString() ?? "",
        };

    /// <summary>A result's name in words, such as "size for load".</summary>
    public static string Word(string name) =>
        string.Concat(name.Select((c, i) => char.IsUpper(c) && i > 0 ? $" {char.ToLowerInvariant(c)}" : $"{c}"));
}
