using System.Collections.Immutable;
using Circuitum.Core.Simulation;
using Circuitum.Web.Access;
using Circuitum.Web.Pages.Jobs.Papers;
using Circuitum.Web.Work;
using Microsoft.AspNetCore.Authorization;
using Microsoft.AspNetCore.Mvc;

namespace Circuitum.Web.Pages.Jobs.Panels;

/// <summary>A receptacle is dead: which reset or breaker brings it back, looked up by room.</summary>
[Authorize(Roles.Crew)]
public sealed class DeadReceptacleModel(JobDesk desk) : PaperModel(desk)
{
    private const int LongestFind = 60;

    /// <summary>What is searched for: words of a room or a receptacle.</summary>
    [BindProperty(SupportsGet = true, Name = "find")]
    public string Find
    {
        get;
        set => field = value is null ? "" : value[..Math.Min(value.Length, LongestFind)].Trim();
    } = "";

    /// <summary>The receptacles that are found.</summary>
    public ImmutableArray<DeadOutlet> Found =>
        [
            .. Resets
                .Of(Open.Analysis)
                .Where(d =>
                    Find.Split(' ', StringSplitOptions.RemoveEmptyEntries)
                        .All(word => $"{d.Room} {d.Name} {d.Box.Id}".Contains(word, StringComparison.CurrentCultureIgnoreCase))
                ),
        ];
}
