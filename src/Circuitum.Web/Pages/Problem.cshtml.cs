using Circuitum.Web.Work;
using Microsoft.AspNetCore.Authorization;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Circuitum.Web.Pages;

/// <summary>What a person sees instead of an error.</summary>
[AllowAnonymous]
[IgnoreAntiforgeryToken]
public sealed class ProblemModel : PageModel
{
    /// <summary>The status.</summary>
    public int Code { get; private set; } = 500;

    /// <summary>What to do.</summary>
    public string Sentence =>
        Code switch
        {
            404 when HttpContext.Items[Faults.Sentence] is string sentence => sentence,
            404 => "There is no such page or job. It may have been deleted.",
            400 => "The form was out of date or not complete. Load the page again and repeat the edit; nothing was changed.",
            401 => "Sign in first.",
            403 when HttpContext.Items[Faults.Sentence] is string sentence => sentence,
            403 => "You may not do that here. Ask the owner of the firm.",
            429 => "Too many attempts. Wait a minute, then try again.",
            405 => "That is not done with this page.",
            413 => $"What was sent is larger than {App.MostRequestBytes / 1_000_000} MB. Nothing was changed.",
            503 => "Many others are being served just now. Nothing was changed. Try again in a moment.",
            504 => "That took longer than this program goes on with one answer. Nothing was changed.",
            507 when HttpContext.Items[Faults.Sentence] is string sentence => sentence,
            _ => "The program met something it did not expect. Nothing was changed. Load the page again; if it comes back, tell "
                + $"it with this number: {HttpContext.TraceIdentifier}.",
        };

    /// <summary>Shows it.</summary>
    public void OnGet(int? status) => Code = status ?? Response.StatusCode;

    /// <summary>Shows it after a posted form.</summary>
    public void OnPost(int? status) => OnGet(status);
}
