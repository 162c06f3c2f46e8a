using System.Globalization;
using Circuitum.Core.Analysis;
using Circuitum.Core.Simulation;
using Circuitum.Web.Access;
using Circuitum.Web.Field;
using Circuitum.Web.Work;
using Microsoft.AspNetCore.Authorization;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Circuitum.Web.Pages.Field;

/// <summary>The shortest way to a fault: what fits, and the next test. All of it stands in the address.</summary>
[Authorize(Roles.Crew)]
public sealed class FindFaultModel(JobDesk desk, FinderDesk finders) : PageModel
{
    private const int LongestFound = 2000;

    /// <summary>The job's id.</summary>
    [BindProperty(SupportsGet = true)]
    public string Id { get; set; } = "";

    /// <summary>The circuit, or none yet.</summary>
    [BindProperty(SupportsGet = true)]
    public int? Circuit { get; set; }

    /// <summary>What was found, as <see cref="FaultSearch.Write"/> writes it.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Found { get; set; }

    /// <summary>The open job.</summary>
    public OpenJob Open { get; private set; } = null!;

    /// <summary>The search, or none before a circuit is chosen.</summary>
    public FaultSearch? Search { get; private set; }

    /// <summary>Most places that are shown.</summary>
    public int MostShown => 12;

    /// <summary>The circuits that can be searched.</summary>
    public IEnumerable<CircuitAnalysis> Circuits => Open.Analysis.Circuits.Where(c => c is { Wire: not null, Run.First: not null });

    /// <summary>The page with one more found.</summary>
    public string With(int test, string told) => Link(Search!.Found.Add((test, told)));

    /// <summary>The page without the last.</summary>
    public string Back => Link(Search!.Found.RemoveAt(Search.Found.Length - 1));

    private string Link(IEnumerable<(int, string)> found) =>
        $"/jobs/{Id}/find-fault?circuit={Circuit!.Value.ToString(CultureInfo.InvariantCulture)}"
        + $"&found={Uri.EscapeDataString(FaultSearch.Write(found))}";

    /// <summary>The rooms in whose walls the cable of a fault runs.</summary>
    public IReadOnlyList<(string Room, string Name)> WallsOf(Fault fault)
    {
        var a = Open.Analysis;
        return fault.Cable is { } cable
            ?
            [
                .. WallCables
                    .Drilled(a, a.RouteOf(Search!.Finder.Wiring.Cables[cable].Cable))
                    .Select(w => (w.Room.Room.Id, w.Room.Room.Name))
                    .Distinct(),
            ]
            : [];
    }

    /// <summary>The box at which the cable of a circuit ends, farthest from the panel.</summary>
    public string End(CircuitAnalysis c) =>
        RoughTest.Of(Open.Analysis).Lines.FirstOrDefault(l => l.Circuit.Number == c.Number)?.End ?? c.Run.First!;

    /// <summary>Shows it.</summary>
    public async Task<IActionResult> OnGetAsync(CancellationToken cancel)
    {
        if (await desk.OpenAsync(Id, cancel) is not { } job)
            return NotFound();
        Open = job;
        if (Circuit is { } number && Circuits.Any(c => c.Number == number))
        {
            var finder = finders.Of(job.Analysis, number);
            Search = new(job.Analysis, finder, FaultSearch.Read(finder, Found is { Length: <= LongestFound } ? Found : ""));
        }

        return Page();
    }
}
