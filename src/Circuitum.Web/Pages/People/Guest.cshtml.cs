using Circuitum.Storage;
using Circuitum.Web.Access;
using Microsoft.AspNetCore.Authorization;
using Microsoft.AspNetCore.Identity;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using Microsoft.AspNetCore.RateLimiting;
using Microsoft.EntityFrameworkCore;

namespace Circuitum.Web.Pages.People;

/// <summary>Where a guest comes in by a link that ends.</summary>
[AllowAnonymous]
[EnableRateLimiting(Accounts.Attempts)]
public sealed class GuestModel(SignInManager<Account> door, UserManager<Account> people, Reach reach) : PageModel
{
    /// <summary>What the link ends in.</summary>
    [BindProperty(SupportsGet = true)]
    public string Code { get; set; } = "";

    /// <summary>When it ends; none for a link that is not good.</summary>
    public DateTime? Until { get; private set; }

    /// <summary>Shows what it does.</summary>
    public async Task<IActionResult> OnGetAsync(CancellationToken cancel)
    {
        Until = (await Guest(cancel))?.Until;
        return Page();
    }

    /// <summary>Lets the guest in.</summary>
    public async Task<IActionResult> OnPostAsync(CancellationToken cancel)
    {
        if (await Guest(cancel) is not { } guest)
            return Page();
        guest.Seen = DateTime.UtcNow;
        await people.UpdateAsync(guest);
        await door.SignInAsync(guest, isPersistent: false);
        return Redirect(Roles.HomeOf(guest));
    }

    private async Task<Account?> Guest(CancellationToken cancel)
    {
        if (!reach.FromElsewhere || Code.Length != Pairing.Letters)
            return null;
        var key = Pairing.Key(Code);
        return
            await people.Users.FirstOrDefaultAsync(a => a.Role == Roles.Guest && a.Link == key, cancel) is { } guest
            && guest.Until > DateTime.UtcNow
            ? guest
            : null;
    }
}
