using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.ApplicationModels;
using Microsoft.AspNetCore.Mvc.Filters;

namespace Circuitum.Web.Work;

/// <summary>
/// Pages that tell how panels are wired, made up and tested. Of a house with split boards they would say what is wrong there, so they are
/// not there.
/// </summary>
public sealed class PanelsOnly(JobDesk desk) : IAsyncPageFilter
{
    private static readonly string[] Pages =
    [
        "/Field/CheckOffPage",
        "/Field/Codes",
        "/Field/FindFault",
        "/Field/PhotoPage",
        "/Field/Room",
        "/Field/Tests",
        "/Field/Today",
        "/Field/TrainerPage",
        "/Jobs/Material/Orders",
        "/Jobs/Material/Van",
        "/Jobs/Panels/DeadReceptacle",
        "/Jobs/Papers/BoxSchedulePage",
        "/Jobs/Papers/LoadSheetPage",
        "/Jobs/Papers/MakeUpPage",
        "/Jobs/Papers/Pull",
        "/Jobs/Papers/RoughTestPage",
        "/Jobs/Papers/Walls",
    ];

    /// <summary>Puts it before those pages.</summary>
    /// <param name="pages">The conventions of all pages.</param>
    public static void Guard(PageConventionCollection pages)
    {
        foreach (var page in Pages)
            pages.AddPageApplicationModelConvention(page, p => p.Filters.Add(new TypeFilterAttribute(typeof(PanelsOnly))));
    }

    /// <inheritdoc />
    public Task OnPageHandlerSelectionAsync(PageHandlerSelectedContext context) => Task.CompletedTask;

    /// <inheritdoc />
    public async Task OnPageHandlerExecutionAsync(PageHandlerExecutingContext context, PageHandlerExecutionDelegate next)
    {
        if (
            context.RouteData.Values["id"] is string id
            && await desk.OpenAsync(id, context.HttpContext.RequestAborted) is { Analysis: { Edition.Board: not null } a }
        )
        {
            context.HttpContext.Items[Faults.Sentence] =
                $"{a.Job.Name} is planned by {a.Edition.Name}. This page is not made for its boards yet: it tells how panels are wired.";
            context.Result = new NotFoundResult();
        }
        else
            await next();
    }
}
