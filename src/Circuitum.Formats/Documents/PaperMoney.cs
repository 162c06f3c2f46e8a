using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Takeoff;
using Circuitum.Formats.Supply;

namespace Circuitum.Formats.Documents;

/// <summary>What papers about money are written from beside the job.</summary>
/// <param name="Prices">The prices.</param>
public sealed record PaperMoney(PriceBook Prices)
{
    /// <summary>By the made-up prices alone.</summary>
    public static PaperMoney MadeUp { get; } = new(new PriceBook([PriceListCsv.Sample]));

    /// <summary>The house before a change; none where there is no state to compare with.</summary>
    public JobAnalysis? Before { get; init; }

    /// <summary>Appliances that the owner may put off, by their ids: the estimate tells them side by side.</summary>
    public ImmutableArray<string> Options { get; init; } = [];

    /// <summary>What that state is called.</summary>
    public string Since { get; init; } = "";
}
