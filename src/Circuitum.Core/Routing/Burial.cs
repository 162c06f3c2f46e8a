using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Routing;

/// <summary>How deep what lies in the ground has to lie (300.5).</summary>
public static class Burial
{
    /// <summary>How a run to a box is made: by what a person says, else by the job's preference.</summary>
    public static OutsideMethod MethodOf(Job job, string to) => Said(job, to)?.Method ?? job.Preferences.OutsideMethod;

    /// <summary>How deep a run to a box lies: as a person says, else as deep as its method asks for.</summary>
    public static Length DepthOf(Job job, CodeEdition edition, string to) =>
        Said(job, to) is { Depth: { } depth } ? depth : Least(edition, MethodOf(job, to), Said(job, to)?.Driveway == true, guarded: false);

    /// <summary>The least cover.</summary>
    /// <param name="edition">The edition.</param>
    /// <param name="method">How it is run.</param>
    /// <param name="driveway">Under a driveway of the dwelling.</param>
    /// <param name="guarded">A 120 V branch circuit of 20 A or less with ground-fault protection ahead of it.</param>
    public static Length Least(CodeEdition edition, OutsideMethod method, bool driveway, bool guarded)
    {
        var own = edition.Number(
            driveway
                ? "burialDrivewayIn"
                : method switch
                {
                    OutsideMethod.PvcConduit => "burialPvcIn",
                    OutsideMethod.RigidConduit => "burialRigidIn",
                    _ => "burialDirectIn",
                }
        );

        // Protection allows less than the method asks; it never asks for more.
        return Length.Inches(guarded ? Math.Min(own, edition.Number("burialGuardedIn")) : own);
    }

    /// <summary>What a person says of the run to a box, or none.</summary>
    public static OutsideRun? Said(Job job, string to) => job.Decisions.Outside.FirstOrDefault(o => o.To == to);
}
