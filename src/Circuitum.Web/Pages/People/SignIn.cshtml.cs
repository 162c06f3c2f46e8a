using System.Net;
using Circuitum.Storage;
using Circuitum.Web.Access;
using Microsoft.AspNetCore.Authorization;
using Microsoft.AspNetCore.Identity;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using Microsoft.AspNetCore.RateLimiting;
using Microsoft.EntityFrameworkCore;

namespace Circuitum.Web.Pages.People;

/// <summary>Where one signs in; and where the first owner is made, at the machine itself.</summary>
[AllowAnonymous]
[EnableRateLimiting(Accounts.Attempts)]
public sealed class SignInModel(SignInManager<Account> door, UserManager<Account> people, Reach reach) : PageModel
{
    /// <summary>Where one wanted to go.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Back { get; set; }

    /// <summary>Who.</summary>
    [BindProperty]
    public string Who
    {
        get;
        set => field = (value ?? "").Trim();
    } = "";

    /// <summary>Why one does not come in.</summary>
    public string Refusal { get; private set; } = "";

    /// <summary>Whether the first owner is made here.</summary>
    public bool First { get; private set; }

    /// <summary>Whether there is nobody yet, and this is not the machine where the first is made.</summary>
    public bool FirstElsewhere { get; private set; }

    private string Home(Account person) => Url.IsLocalUrl(Back) && Back != "/" ? Back! : Roles.HomeOf(person);

    /// <summary>Shows it.</summary>
    public async Task<IActionResult> OnGetAsync(CancellationToken cancel)
    {
        if (!reach.FromElsewhere)
            return Redirect("/");
        await Look(cancel);
        return Page();
    }

    /// <summary>Signs in, or makes the first owner.</summary>
    public async Task<IActionResult> OnPostAsync(string? password, CancellationToken cancel)
    {
        if (!reach.FromElsewhere)
            return Redirect("/");
        await Look(cancel);
        if (FirstElsewhere)
            return Page();
        if (First)
            return await Make(password ?? "");
        var result = await door.PasswordSignInAsync(Who, password ?? "", isPersistent: true, lockoutOnFailure: true);
        if (result.Succeeded)
        {
            if (await people.FindByNameAsync(Who) is { } person)
            {
                person.Seen = DateTime.UtcNow;
                await people.UpdateAsync(person);
                return Redirect(Home(person));
            }

            return Redirect("/");
        }

        // Whether there is such a name is not told.
        Refusal = result.IsLockedOut
            ? "Too many wrong passwords. Wait ten minutes, or have the owner show a code."
            : "That name and password do not belong together.";
        return Page();
    }

    private async Task<IActionResult> Make(string password)
    {
        if (Who.Length is 0 or > 60)
        {
            Refusal = "Name: type 1 to 60 letters.";
            return Page();
        }

        var owner = new Account
        {
            UserName = Who,
            Role = Roles.Owner,
            Made = DateTime.UtcNow,
            Seen = DateTime.UtcNow,
        };
        var made = await people.CreateAsync(owner, password);
        if (!made.Succeeded)
        {
            Refusal = string.Join(" ", made.Errors.Select(e => e.Description));
            return Page();
        }

        await door.SignInAsync(owner, isPersistent: true);
        return Redirect(Home(owner));
    }

    private async Task Look(CancellationToken cancel)
    {
        var nobody = !await people.Users.AnyAsync(cancel);
        var here = HttpContext.Connection.RemoteIpAddress is { } from && IPAddress.IsLoopback(from);
        (First, FirstElsewhere) = (nobody && here, nobody && !here);
    }
}
