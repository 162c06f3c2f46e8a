using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Formats.Drawings;
using Circuitum.Web.Access;
using Circuitum.Web.Work;
using Microsoft.AspNetCore.Authorization;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Circuitum.Web.Pages.Jobs.Papers;

/// <summary>The walls with their cables, room by room, for paper.</summary>
[Authorize(Roles.Reader)]
public sealed class WallsModel(JobDesk desk) : PageModel
{
    /// <summary>The job's id.</summary>
    [BindProperty(SupportsGet = true)]
    public string Id { get; set; } = "";

    /// <summary>The open job.</summary>
    public OpenJob Open { get; private set; } = null!;

    /// <summary>One room, of which all walls are shown; empty for those of the house that have cable in them.</summary>
    [BindProperty(SupportsGet = true)]
    public string Room
    {
        get;
        set => field = value ?? "";
    } = "";

    /// <summary>The rooms with their walls.</summary>
    public ImmutableArray<(RoomShape Room, ImmutableArray<(int Wall, WallCables Cables)> Walls)> Rooms { get; private set; } = [];

    /// <summary>Shows the walls.</summary>
    public async Task<IActionResult> OnGetAsync(CancellationToken cancel)
    {
        if (await desk.OpenAsync(Id, cancel) is not { } open)
            return NotFound();
        Open = open;
        var a = open.Analysis;
        if (Room.Length > 0 && a.Job.RoomById(Room) is null)
            return NotFound();
        Rooms =
        [
            .. a
                .House.Rooms.Where(r => Room.Length > 0 ? r.Room.Id == Room : !r.Room.Kind.OpenAir())
                .Select(r =>
                    (
                        r,
                        Walls: r.Walls.Select(w => (w.Index, Cables: WallCables.Of(a, r, w.Index)))
                            .Where(w => Room.Length > 0 || w.Cables.Cables.Length > 0)
                            .ToImmutableArray()
                    )
                )
                .Where(r => r.Walls.Length > 0),
        ];
        return Page();
    }

    /// <summary>One wall as a drawing.</summary>
    public string Strip(RoomShape room, int wall, WallCables cables) =>
        SvgWriter.Text(StripComposer.Compose(Open.Analysis, room, wall, new() { Cables = cables }));
}
