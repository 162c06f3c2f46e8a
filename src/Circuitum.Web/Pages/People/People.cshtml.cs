using Circuitum.Formats;
using Circuitum.Storage;
using Circuitum.Web.Access;
using Circuitum.Web.Work;
using Microsoft.AspNetCore.Authorization;
using Microsoft.AspNetCore.Identity;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using Microsoft.EntityFrameworkCore;

namespace Circuitum.Web.Pages.People;

/// <summary>Who may come in, and the codes by which phones do.</summary>
[Authorize(Roles.Owner)]
public sealed class PeopleModel(UserManager<Account> people, Pairing codes, Reach reach, JobDesk jobs) : PageModel
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
        string? job,
        int days,
        CancellationToken cancel
    )
    {
        if (!reach.FromElsewhere)
            return Redirect("/people");
        if (what == "add")
            Refusal = await Add((who ?? "").Trim(), role is { } told && Given.Contains(told) ? told : Roles.Crew, password ?? "", cancel);
        else if (what == "invite")
            Refusal = await Invite((who ?? "").Trim(), job ?? "", days, cancel);
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

    /// <summary>The roles that an account is given with a name.</summary>
    public static IReadOnlyList<string> Given { get; } = [Roles.Crew, Roles.Planner, Roles.Inspector, Roles.Owner];

    /// <summary>The jobs to which a guest can be invited.</summary>
    public IReadOnlyList<JobListing> Jobs { get; private set; } = [];

    /// <summary>Most days that a guest's link is good.</summary>
    public const int MostDays = 90;

    // What is kept is of no use to whoever reads it: the link is told once, here.
    private async Task<string> Invite(string who, string job, int days, CancellationToken cancel)
    {
        if (days is < 1 or > MostDays)
            return $"Days: a link is good for 1 to {MostDays} days.";
        if (!(await jobs.ListAsync(cancel)).Any(j => j.Id == job))
            return "Job: that job is not there any more.";
        var code = Pairing.NewCode();
        if (await Add(who, Roles.Guest, "", cancel, (job, DateTime.UtcNow.AddDays(days), Pairing.Key(code))) is { Length: > 0 } problem)
            return problem;
        (Address, For, Days) = ($"{reach.Address}/guest/{code}", who, days);
        Qr = QrDrawing.Svg(Address);
        return "";
    }

    /// <summary>For how many days the link that is shown is good; 0 for a phone's code.</summary>
    public int Days { get; private set; }

    private async Task<string> Add(
        string who,
        string role,
        string password,
        CancellationToken cancel,
        (string Job, DateTime Until, string Link)? guest = null
    )
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
            Job = guest?.Job,
            Until = guest?.Until,
            Link = guest?.Link,
        };
        var made = password.Length == 0 ? await people.CreateAsync(person) : await people.CreateAsync(person, password);
        return made.Succeeded ? "" : string.Join(" ", made.Errors.Select(e => e.Description));
    }

    private async Task Load(CancellationToken cancel)
    {
        Jobs = await jobs.ListAsync(cancel);
        Accounts =
        [
            .. (await people.Users.AsNoTracking().ToListAsync(cancel))
                .OrderBy(p => Roles.All.ToList().IndexOf(p.Role))
                .ThenBy(p => p.UserName, StringComparer.OrdinalIgnoreCase),
        ];
    }
}
