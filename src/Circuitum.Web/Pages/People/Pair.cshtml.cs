using Circuitum.Storage;
using Circuitum.Web.Access;
using Microsoft.AspNetCore.Authorization;
using Microsoft.AspNetCore.Identity;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using Microsoft.AspNetCore.RateLimiting;

namespace Circuitum.Web.Pages.People;

/// <summary>Where a phone comes that scanned a code. Only the press uses it up: programs look at addresses before people do.</summary>
[AllowAnonymous]
[EnableRateLimiting(Accounts.Attempts)]
public sealed class PairModel(Pairing codes, SignInManager<Account> door, UserManager<Account> people, Reach reach) : PageModel
{
    /// <summary>The code.</summary>
    [BindProperty(SupportsGet = true)]
    public string Code { get; set; } = "";

    /// <summary>Whether it is good.</summary>
    public bool Good { get; private set; }

    /// <summary>Shows what it does.</summary>
    public IActionResult OnGet()
    {
        Good = reach.FromElsewhere && codes.IsGood(Code);
        return Page();
    }

    /// <summary>Lets the phone in.</summary>
    public async Task<IActionResult> OnPostAsync()
    {
        if (!reach.FromElsewhere || codes.Use(Code) is not { } id || await people.FindByIdAsync(id) is not { } person)
            return Page();
        person.Seen = DateTime.UtcNow;
        await people.UpdateAsync(person);
        await door.SignInAsync(person, isPersistent: true);
        return Redirect(person.Role == Roles.Owner ? "/field" : Roles.HomeOf(person));
    }
}
