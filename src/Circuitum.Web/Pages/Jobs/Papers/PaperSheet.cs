using System.Collections.Immutable;
using Circuitum.Core.Field;
using Circuitum.Formats.Documents;
using Circuitum.Web.Work;

namespace Circuitum.Web.Pages.Jobs.Papers;

/// <summary>A paper on a page.</summary>
/// <param name="Id">The job's id.</param>
/// <param name="Open">The open job.</param>
/// <param name="Name">The paper's name, which is that of its PDF too.</param>
/// <param name="Back">The stage or page to go back to.</param>
/// <param name="BackTo">What that is called.</param>
public sealed record PaperSheet(string Id, OpenJob Open, string Name, string Back, string BackTo)
{
    /// <summary>Prices, and the state before a change; none takes the made-up prices.</summary>
    public PaperMoney? Money { get; init; }

    /// <summary>What was said in the field; none for nothing.</summary>
    public FieldState? Field { get; init; }

    /// <summary>Pictures from the field, for papers that show them.</summary>
    public ImmutableArray<FieldPhoto> Photos { get; init; } = [];

    /// <summary>What follows the name of its PDF, such as the set that is compared with.</summary>
    public string Query { get; init; } = "";

    /// <summary>The paper.</summary>
    public Paper Paper =>
        field ??= Formats.Documents.Papers.Of(Open.Analysis, Name, Open.Stored.Stamp, money: Money, field: Field, photos: Photos);
}
