using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Commands;
using Circuitum.Core.Jobs;
using Circuitum.Core.Takeoff;

namespace Circuitum.Core.Review;

/// <summary>One of the ways that an owner chooses from, with its estimate.</summary>
/// <param name="Name">In words, such as <c>Vehicle charger: only its conduit now</c>.</param>
/// <param name="Estimate">What the house costs that way.</param>
public sealed record OwnersOption(string Name, Estimate Estimate)
{
    /// <summary>Most things that are weighed at once: each is worked out with the whole house.</summary>
    public const int Most = 4;

    /// <summary>The appliances that can be put off: those alone on a circuit that is measured.</summary>
    /// <param name="a">The house.</param>
    public static ImmutableArray<Appliance> Offered(JobAnalysis a) => [.. a.Job.Appliances.Where(x => CircuitOf(a, x.Id) is not null)];

    /// <summary>The ways side by side: as planned, and for each appliance only its conduit now and not at all.</summary>
    /// <param name="a">The house as planned.</param>
    /// <param name="book">The prices.</param>
    /// <param name="appliances">Which can be put off, by their ids; what cannot is left out.</param>
    public static ImmutableArray<OwnersOption> Of(JobAnalysis a, PriceBook book, IEnumerable<string> appliances)
    {
        var options = ImmutableArray.CreateBuilder<OwnersOption>();
        options.Add(new("As planned", Estimate.Of(a, book)));
        foreach (var id in appliances.Distinct().Take(Most))
        {
            if (CircuitOf(a, id) is not { } circuit || new RemoveThing(Subject.Appliance(id)).Apply(a.Job).Job is not { } job)
                continue;
            var (name, without) = (ApplianceFacts.Of(a.Job, a.Job.ApplianceById(id)!).Name, HouseDeriver.Derive(job));
            name = char.ToUpperInvariant(name[0]) + name[1..];
            options.Add(new($"{name}: only its conduit now", Estimate.Of(without, book, MadeReady.Of(without, a, circuit))));
            options.Add(new($"{name}: left out", Estimate.Of(without, book)));
        }

        return options.ToImmutable();
    }

    // The circuit of an appliance that nothing else is on: its outlet, and what cuts it off.
    private static CircuitAnalysis? CircuitOf(JobAnalysis a, string appliance) =>
        a.Circuits.FirstOrDefault(c =>
            c.Run.First is not null
            && !c.Carried
            && c.Boxes.Length > 0
            && c.Boxes.All(b => b.Appliance == appliance || b.Serves == appliance)
            && c.Boxes.Any(b => b.Appliance == appliance)
        );
}
