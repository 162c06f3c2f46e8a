using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Explain;
using Circuitum.Core.Measure;
using Circuitum.Core.Panels;

namespace Circuitum.Core.Analysis;

/// <summary>The service with its conductors, neutral, electrode, and what would relieve it.</summary>
/// <param name="Rating">Main breaker in amperes.</param>
/// <param name="Used">How much of it the load takes, as a share.</param>
/// <param name="Neutral">Load of the neutral.</param>
/// <param name="Conductors">Service conductors, grounding electrode conductor and bonding.</param>
/// <param name="Reliefs">What would relieve it, most first; only when the service is near its limit.</param>
public sealed record ServiceSheet(int Rating, double Used, Derivation Neutral, Derivation Conductors, ImmutableArray<Relief> Reliefs)
{
    /// <summary>The line of the electrode's conductor.</summary>
    public const string ElectrodeConductor = "Grounding electrode conductor";

    // From four fifths on a person wants to know what could be done.
    private const double Near = 0.8;

    /// <summary>The sheet of a house.</summary>
    public static ServiceSheet Of(JobAnalysis a)
    {
        var rating = a.Panel?.MainBreaker ?? 0;
        var used = rating > 0 ? a.Service.Current.Value / rating : 0;
        return new(rating, used, ServiceLoad.Neutral(a.ServiceCase, a.Edition), ConductorsFor(a, rating), used >= Near ? ReliefsOf(a) : []);
    }

    private static Derivation ConductorsFor(JobAnalysis a, int rating)
    {
        if (
            CodeLibrary.Conductors.Service.FirstOrDefault(r => r.Amperes >= Math.Max(a.Edition.Number("serviceLeastA"), rating))
            is not { } row
        )
            return new("Service conductors", "over 400 A") { Because = "Beyond the dwelling table: for an engineer." };
        var electrode = a.Edition.ElectrodeFor(row.Copper);
        return new("Service conductors", $"{row.Copper} copper or {row.Aluminum} aluminum")
        {
            Citation = a.Edition.Cite("service.conductor"),
            Because = $"For a service of {rating} A that carries the whole dwelling. Not for a feeder that carries a part of it.",
            Steps =
            [
                new("Main breaker", $"{rating} A")
                {
                    Formula =
                        $"{a.Service.Current.Value:0.0} A: "
                        + $"{a.Edition.BreakerFor(Math.Max(a.Edition.Number("serviceLeastA"), a.Service.Current.Value))} A at least",
                    Citation = a.Edition.Cite("service.size"),
                    Because = $"The next breaker over the load, {a.Edition.Number("serviceLeastA"):0} A at least for a one-family house.",
                },
                new(ElectrodeConductor, Or(electrode))
                {
                    Citation = a.Edition.Cite("service.electrodeConductor"),
                    Because = a.Edition.ElectrodeCopper is null
                        ? "By the service conductors; 6 copper is enough to a rod, 4 copper to an encased electrode."
                        : a.Edition.Rule("service.electrodeConductor").Text,
                },
                new("Main bonding jumper, and bonding of metal water pipe", Or(electrode))
                {
                    Citation = a.Edition.Cite("service.bonding"),
                    Because = "By the same table. Neutral and ground are joined here and nowhere after it.",
                },
                new("Electrodes", "all that are there")
                {
                    Citation = a.Edition.Cite("service.electrodes"),
                    Because =
                        $"A metal water pipe of {LengthText.Far(Length.Feet(10), a.Units)} in the ground and an encased "
                        + "electrode are used where they are there, the pipe supplemented; otherwise two rods.",
                },
                .. a.Edition.InForce("service.surge")
                    ? new[]
                    {
                        new Derivation(a.Edition.Rule("service.surge").Title, "needed")
                        {
                            Citation = a.Edition.Cite("service.surge"),
                            Because = a.Edition.Rule("service.surge").Text,
                        },
                    }
                    : [],
                .. a.Edition.InForce("service.emergency")
                    ? new[]
                    {
                        new Derivation(a.Edition.Rule("service.emergency").Title, "needed")
                        {
                            Citation = a.Edition.Cite("service.emergency"),
                            Because = a.Edition.Rule("service.emergency").Text,
                        },
                    }
                    : [],
            ],
        };
    }

    private static string Or(ElectrodeRow row) => $"{row.Copper} copper or {row.Aluminum} aluminum";

    /// <summary>The same house by each edition that is known, the newest first, without local amendments.</summary>
    /// <param name="a">The analysis.</param>
    public static ImmutableArray<EditionLoad> EditionsOf(JobAnalysis a) =>
        [
            .. CodeLibrary
                .IdsOf(a.Edition.Family)
                .Select(id =>
                {
                    var edition = CodeLibrary.Edition(id);
                    var loads = ServiceLoad.Of(a.ServiceCase, edition);
                    return new EditionLoad(edition, loads, [.. a.ServiceLoads.Zip(loads).SelectMany(l => Differ(l.First, l.Second))]);
                }),
        ];

    private static IEnumerable<string> Differ(ServiceLoad ours, ServiceLoad theirs) =>
        theirs
            .Derivation.Steps.Where(s => ours.Derivation.Steps.FirstOrDefault(o => o.What == s.What) is var o && o?.Result != s.Result)
            .Select(s =>
                $"{s.What}, {ours.Name}: {s.Result} instead of "
                + $"{ours.Derivation.Steps.FirstOrDefault(o => o.What == s.What)?.Result ?? "nothing"} ({s.Citation})"
            );

    // The load worked out again without each large thing, and with charging at half its power.
    private static ImmutableArray<Relief> ReliefsOf(JobAnalysis a)
    {
        const int Most = 4;
        double With(ImmutableArray<ServiceItem> items)
        {
            var c = a.ServiceCase with { Items = items };
            return ServiceLoad.By(c, a.Edition, a.Service.Method).Current.Value;
        }

        var now = a.Service.Current.Value;
        var all = a.ServiceCase.Items;
        IEnumerable<Relief> Each()
        {
            foreach (var item in all.Where(i => i.Load.Value >= 1000))
            {
                if (item.Kind == ServiceItemKind.Charging)
                    yield return new(
                        $"{item.Name} at half its power",
                        new(now - With(all.Replace(item, item with { Load = item.Load * 0.5 })))
                    );
                yield return new($"{item.Name} by gas, elsewhere, or not at the same time", new(now - With(all.Remove(item))));
            }
        }

        return [.. Each().Where(r => r.Saved.Value >= 1).OrderByDescending(r => r.Saved.Value).Take(Most)];
    }
}
