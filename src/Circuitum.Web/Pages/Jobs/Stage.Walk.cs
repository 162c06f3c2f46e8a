using Circuitum.Core.Analysis;
using Circuitum.Core.Commands;
using Circuitum.Core.Jobs;
using Circuitum.Core.Review;
using Microsoft.AspNetCore.Mvc;

namespace Circuitum.Web.Pages.Jobs;

// The walk through the house with its owner.
public sealed partial class StageModel
{
    /// <summary>The rooms as one walks: storey by storey from the lowest, in the order in which they were entered.</summary>
    public List<Room> WalkOrder => [.. Job.Storeys.OrderBy(s => s.Floor).SelectMany(s => Job.Rooms.Where(r => r.Storey == s.Id))];

    /// <summary>Address of a room on the walk, which fills the sheet.</summary>
    public string WalkTo(Room room) => Link($"room:{room.Id}", "walk", room.Storey, $"room:{room.Id}");

    /// <summary>Shows what a wish brought with it. Nothing is changed.</summary>
    public async Task<IActionResult> OnGetWishCostAsync(string? wish, CancellationToken cancel)
    {
        if (!await Load(cancel) || Job.Wishes.All(w => w.Id != wish))
            return NotFound();
        var preview = EditPreview.Without(A, new RemoveThing(Subject.Wish(wish!)));
        ViewData["cost"] = preview.Cost(await supply.PricesAsync(cancel));
        return Partial("Findings/_WhatIf", ("without", "with", preview));
    }
}
