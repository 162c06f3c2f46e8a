using Circuitum.Core.Analysis;
using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Commands;

/// <summary>Sets what a person types about a counter, a fixture or an appliance's place.</summary>
/// <param name="Thing">Kind and id.</param>
/// <param name="From">For one against a wall, from the wall's first corner.</param>
/// <param name="Width">Along the wall, or west to east.</param>
/// <param name="Depth">Away from the wall, or north to south.</param>
public sealed record EditThing(Subject Thing, Length From, Length Width, Length Depth) : JobCommand("edit")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        var id = Thing.Id;
        Spot To(Spot spot) => spot with { From = spot.Wall is null ? spot.From : From, Width = Width, Depth = Depth };
        return Thing.Kind switch
        {
            SubjectKind.Counter when job.Counters.FirstOrDefault(c => c.Id == id) is { } c => CommandResult.Checked(
                job with
                {
                    Counters = job.Counters.Replace(c, c with { Spot = To(c.Spot) }),
                }
            ),
            SubjectKind.Fixture when job.Fixtures.FirstOrDefault(c => c.Id == id) is { } f => CommandResult.Checked(
                job with
                {
                    Fixtures = job.Fixtures.Replace(f, f with { Spot = To(f.Spot) }),
                }
            ),
            SubjectKind.Appliance when job.ApplianceById(id) is { } x => CommandResult.Checked(
                job with
                {
                    Appliances = job.Appliances.Replace(x, x with { Spot = To(x.Spot) }),
                }
            ),
            _ => CommandResult.Refuse(PlanEdit.Gone("thing")),
        };
    }
}
