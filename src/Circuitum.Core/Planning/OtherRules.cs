using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Panels;

namespace Circuitum.Core.Planning;

/// <summary>A house under the rules of another family: its facts, and all decisions made anew.</summary>
public static class OtherRules
{
    /// <summary>The house planned under another edition; what was decided, amended or pulled under the old rules is not in it.</summary>
    /// <param name="job">The job.</param>
    /// <param name="edition">The id of an edition that is shipped.</param>
    public static Job Under(Job job, string edition)
    {
        var rules = CodeLibrary.Edition(edition);
        var name = $"{job.Name}, {rules.Name}";
        var units = rules.Board is null ? job.Units : LengthUnits.Metric;
        return Planner.PlanAll(
            Facts(job, rules) with
            {
                Name = name[..Math.Min(name.Length, LongestName)],
                CodeEdition = edition,
                Amendments = [],
                BuildersTold = null,
                Units = units,
                Preferences = units == job.Units ? job.Preferences : PreferenceFields.In(job.Preferences, units),
                Decisions = new(),
            }
        );
    }

    /// <summary>The facts of a house as they stand under the rules of another family.</summary>
    /// <param name="job">The job, still under its own.</param>
    /// <param name="rules">The other edition.</param>
    internal static Job Facts(Job job, CodeEdition rules) =>
        job with
        {
            Appliances = [.. job.Appliances.Select(x => Replated(job, x, rules))],
            Panels = [.. job.Panels.Select(p => Rehung(p, rules))],
        };

    // Volts of another supply mean nothing here; the load stays.
    private static Appliance Replated(Job job, Appliance x, CodeEdition rules) =>
        rules.Supply == CodeLibrary.SupplyOf(job)
            ? x
            : x with
            {
                Nameplate = x.Nameplate with
                {
                    Volts = null,
                    Amperes = null,
                    VoltAmperes =
                        x.Nameplate.VoltAmperes is null && x.Nameplate.Amperes is null ? null : ApplianceFacts.Of(job, x).Load.Value,
                    MinimumCircuitAmpacity = null,
                    MaximumBreaker = null,
                },
            };

    /// <summary>A panel as it hangs under some rules: a board is made with certain ways and a main switch of so much.</summary>
    /// <param name="p">The panel.</param>
    /// <param name="rules">The edition.</param>
    internal static Panel Rehung(Panel p, CodeEdition rules)
    {
        var hung = p.Top > rules.HighestPanelTop ? p with { Top = rules.HighestPanelTop } : p;
        if (rules.Board is not { } board)
            return hung with { Sections = null };
        var ways = board.Ways.FirstOrDefault(w => w * WayPlan.Lines >= p.Spaces, board.Ways[^1]);
        return hung with
        {
            Spaces = ways * WayPlan.Lines,
            MainBreaker = Math.Min(p.MainBreaker, rules.Number("incomerMostA").Whole),
            TandemSpaces = [],
            AluminumFeeder = false,
            FeederBreaker = null,
            Sections = null,
        };
    }

    private const int LongestName = 120;
}
