using Circuitum.Core.Analysis;
using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;
using Circuitum.Core.Planning;

namespace Circuitum.Core.Commands;

/// <summary>Leads two circuits in the cable of one home run.</summary>
/// <param name="First">The circuit whose first box the cable ends in.</param>
/// <param name="Second">The other one.</param>
/// <param name="Kind">How.</param>
public sealed record PairCircuits(int First, int Second, PairKind Kind) : JobCommand("share a home run")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        var analysis = HouseDeriver.Derive(job);
        if (analysis.CircuitByNumber(First) is not { } a)
            return CommandResult.Refuse($"There is no circuit {First}.");
        if (analysis.CircuitByNumber(Second) is not { } b)
            return CommandResult.Refuse($"There is no circuit {Second}.");
        if ((a.Pair ?? b.Pair) is { } there)
            return CommandResult.Refuse(
                $"Circuit {(a.Pair is null ? Second : First)} shares a home run with circuit "
                    + $"{there.MateOf(a.Pair is null ? Second : First)} already."
            );
        if (HomeRunPairing.WhyNot(a, b, Kind) is { } why)
            return CommandResult.Refuse(why);
        var pair = new HomeRunPair
        {
            First = First,
            Second = Second,
            Kind = Kind,
            By = Origin.Person,
        };
        return CommandResult.Checked(
            Planner.PlanSpaces(job with { Decisions = job.Decisions with { Pairs = job.Decisions.Pairs.Add(pair) } })
        );
    }
}
