using System.Globalization;
using Circuitum.Core.Review;
using Circuitum.Formats.Documents;
using Circuitum.Web.Access;
using Circuitum.Web.Field;
using Circuitum.Web.Supply;
using Circuitum.Web.Work;
using Microsoft.AspNetCore.Authorization;
using Microsoft.AspNetCore.Http.Extensions;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Circuitum.Web.Pages.Jobs.Papers;

/// <summary>Any paper of a job, on the screen in the words of its PDF.</summary>
[Authorize(Roles.Reader)]
public sealed class PaperPageModel(JobDesk desk, SupplyDesk supply, FieldDesk fieldDesk, PhotoDesk photos) : PageModel
{
    private static readonly string[] Money = ["material", "estimate", "change-order", "builders", "van"];

    /// <summary>What papers about money are written from: the firm's prices, and the job as it was when a set was issued.</summary>
    internal static async Task<PaperMoney> MoneyOf(
        JobDesk desk,
        SupplyDesk supply,
        string id,
        int? since,
        string[]? option,
        CancellationToken cancel
    )
    {
        var options = (option ?? []).OfType<string>().Take(OwnersOption.Most);
        var money = new PaperMoney(await supply.PricesAsync(cancel)) { Options = [.. options] };
        return
            since is { } number
            && (await desk.IssuedAsync(id, cancel)).FirstOrDefault(s => s.Number == number) is { } set
            && await desk.IssuedAsync(id, number, cancel) is { } before
            ? money with
            {
                Before = before,
                Since = $"set {set.Number}, {set.Name}",
            }
            : money;
    }

    private static IEnumerable<KeyValuePair<string, string>> Asked(int? since, string[]? option)
    {
        if (since is { } set)
            yield return new("since", set.ToString(CultureInfo.InvariantCulture));
        foreach (var id in (option ?? []).OfType<string>())
            yield return new("option", id);
    }

    /// <summary>The paper.</summary>
    public PaperSheet Sheet { get; private set; } = null!;

    /// <summary>Shows it.</summary>
    public async Task<IActionResult> OnGetAsync(string id, string name, int? since, string[]? option, CancellationToken cancel)
    {
        if (!Formats.Documents.Papers.Names.Contains(name) || await desk.OpenAsync(id, cancel) is not { } open)
            return NotFound();
        if (!Formats.Documents.Papers.AppliesTo(name, open.Analysis.Edition))
            return NotFound();
        var money = Money.Contains(name);
        if (!Roles.SeesMoney(User) && (money || !Field.LookModel.Papers.Any(p => p.Name == name)))
            return Forbid();
        Sheet = new(id, open, name, money ? "material" : "panel", money ? "material" : "panel")
        {
            Field = await fieldDesk.StateAsync(id, cancel),
            Photos = name == "as-built" ? await photos.AllAsync(id, cancel) : [],
            Money = money ? await MoneyOf(desk, supply, id, since, option, cancel) : null,
            Query = $"{new QueryBuilder(Asked(since, option))}",
        };
        return Page();
    }
}
