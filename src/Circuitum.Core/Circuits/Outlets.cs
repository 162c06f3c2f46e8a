using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Loads;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Circuits;

/// <summary>Outlets that a rule counts on a circuit.</summary>
internal static class Outlets
{
    // More alarms than this hang on a circuit of their own: one of lights that kept too few of them would be none.
    private const int MostAlarmsBesideLights = 6;

    /// <summary>Whether a box is an outlet: what only switches or cuts off is none.</summary>
    internal static bool Counts(Box box) =>
        box.Kind is not (BoxKind.Switch or BoxKind.Disconnect or BoxKind.Provision) && box.Serves is null;

    /// <summary>Most outlets of a general circuit; where few alarms are, all of them come onto one of these in the end.</summary>
    internal static int Most(CircuitDraft work, CircuitPurpose purpose)
    {
        var alarms = work.Job.Decisions.Boxes.Count(b => b.Kind == BoxKind.SmokeAlarm);
        return work.Edition.Number("outletsOnCircuitMost").Whole
            - (purpose == CircuitPurpose.Receptacles || alarms > MostAlarmsBesideLights ? 0 : alarms);
    }

    /// <summary>Whether a circuit has room for all alarms beside what hangs on it.</summary>
    internal static bool HasRoomForAlarms(CircuitDraft work, int circuit) =>
        !work.Edition.InForce("circuit.mostOutlets")
        || work.On(circuit).Count(b => Counts(b) && b.Kind != BoxKind.SmokeAlarm)
            + work.Job.Decisions.Boxes.Count(b => b.Kind == BoxKind.SmokeAlarm)
            <= work.Edition.Number("outletsOnCircuitMost");

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
        var amps = new Amperes(outlets.Sum(b => BoxLoad.Of(job, b).Load.Value) / edition.Supply.ToNeutral);
        return !known || !(amps <= new Amperes(breaker / edition.Number("continuousFactor")));
    }

    private static bool IsStated(Job job, Box box) => job.ApplianceById(box.Appliance) is { } a && ApplianceFacts.Of(job, a).Stated;
}
