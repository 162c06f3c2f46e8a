using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Loads;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Circuits;

/// <summary>Outlets that a rule counts on a circuit.</summary>
internal static class Outlets
{
    // A circuit of lights that kept too few of them because of the alarms would be no circuit of lights.
    private const int FewestLights = 4;

    /// <summary>Whether a box is an outlet: what only switches or cuts off is none.</summary>
    internal static bool Counts(Box box) =>
        box.Kind is not (BoxKind.Switch or BoxKind.Disconnect or BoxKind.Provision) && box.Serves is null;

    /// <summary>Most outlets of a general circuit, where all alarms come onto one of them in the end.</summary>
    internal static int Most(CircuitDraft work, CircuitPurpose purpose)
    {
        var most = work.Edition.Number("outletsOnCircuitMost").Whole;
        var alarms = purpose == CircuitPurpose.Receptacles ? 0 : work.Job.Decisions.Boxes.Count(b => b.Kind == BoxKind.SmokeAlarm);
        return Math.Max(Math.Min(most, FewestLights), most - alarms);
    }

    /// <summary>
    /// Whether there are too many on a circuit: more than the rule's number, unless every load is known and all of them together are within
    /// what a breaker carries that runs on and on.
    /// </summary>
    /// <param name="job">The job.</param>
    /// <param name="edition">Its edition.</param>
    /// <param name="breaker">The breaker in amperes.</param>
    /// <param name="boxes">The circuit's boxes.</param>
    internal static bool TooMany(Job job, CodeEdition edition, int breaker, IEnumerable<Box> boxes)
    {
        List<Box> outlets = [.. boxes.Where(Counts)];
        if (outlets.Count <= edition.Number("outletsOnCircuitMost"))
            return false;
        var known = outlets.All(b => b.VoltAmperes is not null || b.Kind == BoxKind.SmokeAlarm || IsStated(job, b));
        var amps = new Amperes(outlets.Sum(b => BoxLoad.Of(job, b).Load.Value) / CodeLibrary.Supply.ToNeutral);
        return !known || !(amps <= new Amperes(breaker / edition.Number("continuousFactor")));
    }

    private static bool IsStated(Job job, Box box) => job.ApplianceById(box.Appliance) is { } a && ApplianceFacts.Of(a).Stated;
}
