using System.Collections.Immutable;
using Circuitum.Core.Analysis;

namespace Circuitum.Core.Checks;

/// <summary>Receptacles of the rating that their circuit asks for.</summary>
internal sealed class BoxRatingRule : CheckedRule
{
    internal override string Id => "box.rating";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        foreach (var box in a.Job.Decisions.Boxes)
        {
            if (a.Specs.GetValueOrDefault(box.Id)?.RatingFault is { } fault)
                yield return Breach(a, $"{a.House[box.Room].Room.Name}: {box.Id} {fault}.", Subject.Box(box.Id)) with
                {
                    Fix = BoxFixes.Change("Take the rating that fits", box.Id, new() { Rating = 0 }),
                };
        }
    }
}
