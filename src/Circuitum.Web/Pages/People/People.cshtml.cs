using Circuitum.Formats;
using Circuitum.Storage;
using Circuitum.Web.Access;
using Microsoft.AspNetCore.Identity;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using Microsoft.EntityFrameworkCore;

namespace Circuitum.Web.Pages.People;

/// <summary>Who may come in, and the codes by which phones do.</summary>
public sealed class PeopleModel(UserManager<Account> people, Pairing codes, Reach reach) : PageModel
{
    private const int MostPeople = 60;

    /// <summary>How the program is reached.</summary>
    public Reach Reach => reach;

    /// <summary>Everyone, owners first.</summary>
    public IReadOnlyList<Account> Accounts { get; private set; } = [];

    /// <summary>Why something was not done.</summary>
    public string Refusal { get; private set; } = "";

    /// <summary>The code as a drawing, or empty.</summary>
    public string Qr { get; private set; } = "";

    /// <summary>The address in it.</summary>
    public string Address { get; private set; } = "";

    /// <summary>Whose phone it is for.</summary>
    public string For { get; private set; } = "";

    /// <summary>Shows it.</summary>
    public Task OnGetAsync(CancellationToken cancel) => Load(cancel);

    /// <summary>The file that makes a phone trust the program.</summary>
    public IActionResult OnGetAuthority() =>
        reach.Authority is { } file ? File(file, "application/x-x509-ca-cert", "circuitum-authority.cer") : NotFound();

    /// <summary>Adds somebody, shows a code, signs out or removes.</summary>
    public async Task<IActionResult> OnPostAsync(
        string? what,
        string? id,
        string? who,
        string? role,
        string? password,
        CancellationToken cancel
    )
    {
        if (!reach.FromElsewhere)
            return Redirect("/people");
        if (what == "add")
            Refusal = await Add((who ?? "").Trim(), role == Roles.Owner ? Roles.Owner : Roles.Crew, password ?? "", cancel);
        else if (id is null || await people.FindByIdAsync(id) is not { } person)
            Refusal = "That person is not here any more.";
        else
        {
            switch (what)
            {
                case "pair":
                    Address = $"{reach.Address}/pair/{codes.Make(person.Id)}";
                    (Qr, For) = (QrDrawing.Svg(Address), person.UserName ?? "");
                    break;
                case "out":
                    await people.UpdateSecurityStampAsync(person);
                    break;
                case "remove" when person.Role != Roles.Owner || await people.Users.CountAsync(p => p.Role == Roles.Owner, cancel) > 1:
                    await people.DeleteAsync(person);
                    break;
                default:
                    Refusal = "The last owner stays.";
                    break;
            }
        }

        await Load(cancel);
        return Page();
    }

    private async Task<string> Add(string who, string role, string password, CancellationToken cancel)
    {
        if (who.Length is 0 or > 60 || who.Any(char.IsControl))
            return "Name: type 1 to 60 letters.";
        if (await people.Users.CountAsync(cancel) >= MostPeople)
            return $"At most {MostPeople} people have accounts.";
        if (role == Roles.Owner && password.Length == 0)
            return "Password: an owner needs one.";
        var person = new Account
        {
            UserName = who,
            Role = role,
            Made = DateTime.UtcNow,
        };
        var made = password.Length == 0 ? await people.CreateAsync(person) : await people.CreateAsync(person, password);
        return made.Succeeded ? "" : string.Join(" ", made.Errors.Select(e => e.Description));
    }

    private async Task Load(CancellationToken cancel) =>
        Accounts = await people.Users.AsNoTracking().OrderByDescending(p => p.Role).ThenBy(p => p.UserName).ToListAsync(cancel);
}
