using System.Globalization;
using AngleSharp.Dom;

namespace Circuitum.Web.Tests;

/// <summary>
/// Questions and forms as no page sends them: never a fault of the program, and the job can be opened afterwards. CIRCUITUM_FUZZ=20000
/// tries as many, CIRCUITUM_SEED=N begins elsewhere.
/// </summary>
public sealed class FuzzWebTests : WebHouse
{
    private static readonly int Cases = Setting("CIRCUITUM_FUZZ", 400);
    private static readonly int Seed = Setting("CIRCUITUM_SEED", 1);

    private static int Setting(string name, int usual) =>
        int.TryParse(Environment.GetEnvironmentVariable(name), CultureInfo.InvariantCulture, out var n) ? n : usual;

    private const string At = "/jobs/gull-cottage--planned";

    private static readonly string[] Values =
    [
        "",
        "0",
        "-1",
        "99999999999",
        "1e400",
        "NaN",
        "kitchen",
        "kitchen.r1",
        "box:kitchen.r1",
        "room:nowhere",
        "circuit:0",
        "wall:kitchen:99",
        "try:1;o0",
        "../../etc",
        "<script>alert(1)</script>",
        "%00",
        "\u0001",
        "12'6\"",
        "-5'",
        "yes",
        new('x', 5000),
    ];

    private static readonly string[] Pages =
    [
        "job",
        "rooms",
        "boxes",
        "circuits",
        "runs",
        "panel",
        "material",
        "findings",
        "history",
        "plans",
        "why",
        "field",
        "field/kitchen",
        "check-off",
        "tests",
        "find-fault",
        "trainer",
        "papers/estimate",
        "walls",
        "issued",
        "look",
        "pull",
    ];

    private static readonly string[] Names =
    [
        "pick",
        "storey",
        "show",
        "dark",
        "from",
        "to",
        "before",
        "kind",
        "n",
        "found",
        "test",
        "circuit",
        "key",
        "work",
        "since",
        "option",
        "answer",
        "told",
        "house",
        "note",
    ];

    private static string Any(Random random) => Values[random.Next(Values.Length)];

    [Fact]
    public async Task No_question_is_a_fault()
    {
        for (var n = 0; n < Cases; n++)
        {
            var random = new Random((Seed * 1_000_003) + n);
            var page = Pages[random.Next(Pages.Length)];
            var query = string.Join(
                '&',
                Enumerable
                    .Range(0, random.Next(1, 5))
                    .Select(_ => $"{Names[random.Next(Names.Length)]}={Uri.EscapeDataString(Any(random))}")
            );
            using var answer = await Web.GetAsync($"{At}/{page}?{query}");
            ((int)answer.StatusCode).ShouldBeLessThan(500, $"{Seed} {n}: {page}?{query[..Math.Min(300, query.Length)]}");
        }
    }

    [Fact]
    public async Task No_form_is_a_fault()
    {
        var forms = new List<(string Page, string Action, List<(string Name, string Value)> Fields)>();
        foreach (var page in Pages.Where(p => p is not ("why" or "plans")))
        {
            foreach (var pick in new[] { "", "?pick=room:kitchen", "?pick=box:kitchen.r1", "?pick=circuit:3" })
            {
                var document = Parse(await Web.GetStringAsync($"{At}/{page}{pick}"));
                forms.AddRange(
                    document
                        .QuerySelectorAll("form[method=post]")
                        .Select(f =>
                            (
                                page,
                                f.GetAttribute("action") is { Length: > 0 } action ? action : $"{At}/{page}{pick}",
                                f.QuerySelectorAll("[name]").Select(i => (i.GetAttribute("name")!, i.GetAttribute("value") ?? "")).ToList()
                            )
                        )
                        .Where(f => !f.Item2.Contains("sign-out", StringComparison.Ordinal))
                );
            }
        }

        forms.Count.ShouldBeGreaterThan(100);
        for (var n = 0; n < Cases; n++)
        {
            var random = new Random((Seed * 1_000_003) + n);
            var (page, action, fields) = forms[random.Next(forms.Count)];
            var turned = fields
                .Where(_ => random.Next(12) > 0)
                .Select(f => f.Name == "__RequestVerificationToken" || random.Next(3) > 0 ? f : (f.Name, Value: Any(random)))
                .Take(900)
                .Select(f => KeyValuePair.Create(f.Name, f.Value));
            using var content = new FormUrlEncodedContent(turned);
            using var answer = await Web.PostAsync(action, content);
            var sent = await content.ReadAsStringAsync();
            ((int)answer.StatusCode).ShouldBeLessThan(500, $"{Seed} {n}: {page} {action} {sent[..Math.Min(400, sent.Length)]}");
        }

        (await Web.GetAsync($"{At}/rooms")).EnsureSuccessStatusCode();
    }
}
