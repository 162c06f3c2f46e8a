using BitFaster.Caching.Lru;
using Circuitum.Formats;

namespace Circuitum.Web.Work;

/// <summary>
/// Remembers the drawing that each job's page shows last, so that the answer to an edit carries only the parts of the plan
/// that changed. A page that shows something else, or a program that was started anew, gets the whole drawing.
/// </summary>
public sealed class DrawnPlans
{
    private const int Most = 40;

    private readonly ConcurrentLru<string, (string Key, PlanDrawing Drawing)> last = new(Most);

    /// <summary>What to send: the changed parts when the page is known to show what was drawn last, else the whole.</summary>
    /// <param name="job">The job.</param>
    /// <param name="shown">The key of the drawing that the page says it shows, or empty.</param>
    /// <param name="key">The key of the new drawing.</param>
    /// <param name="drawing">The new drawing.</param>
    public (string Svg, bool Part) Answer(string job, string shown, string key, PlanDrawing drawing)
    {
        var part = shown.Length > 0 && last.TryGet(job, out var before) && before.Key == shown ? drawing.Since(before.Drawing) : null;
        last.AddOrUpdate(job, (key, drawing));
        return (part ?? drawing.Whole, part is not null);
    }
}
