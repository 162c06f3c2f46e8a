using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Sizing;

namespace Circuitum.Core.Checks;

/// <summary>What runs outside the house: of what it is made, how deep it lies, how it bends.</summary>
internal sealed class OutsideChecks : ICheck
{
    public IEnumerable<Finding> Find(JobAnalysis a)
    {
        foreach (var o in a.Outside)
        {
            var (run, subjects) = ($"The run of circuit {o.Circuit} to {o.Hop.To}", new[] { $"circuit:{o.Circuit}", $"box:{o.Hop.To}" });
            if (o.Method == OutsideMethod.IndoorCable)
                yield return CheckList.Make(a, "wire.outside", $"{run} is indoor cable for {o.Length.InFeet:0} ft outside the house{(o.Buried ? ", in the ground" : "")}: its jacket is for dry places.", subjects) with { Fix = new("Run it in PVC conduit", "outside-run", ("to", o.Hop.To), ("method", nameof(OutsideMethod.PvcConduit)), ("keep", "yes")) };
            if (o.Buried && o.Depth < o.DepthWanted)
                yield return CheckList.Make(a, "wire.depth", $"{run} lies {LengthText.Show(o.Depth)} deep; {LengthText.Show(o.DepthWanted)} is the least.", subjects);
            if (o.Bends is { Pass: false } bends)
                yield return CheckList.Make(a, "wire.bends", $"{run} bends {bends.Stretches.Max()} degrees between pull points; {ConduitBends.Most} is the most. {bends.PullPointsWanted} more pull point{(bends.PullPointsWanted == 1 ? "" : "s")} will do.", subjects);
        }
    }
}
