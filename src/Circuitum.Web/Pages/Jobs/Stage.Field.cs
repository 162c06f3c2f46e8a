using System.Collections.Immutable;
using Circuitum.Core.Field;

namespace Circuitum.Web.Pages.Jobs;

// How far the work in the house is, on the tabs.
public sealed partial class StageModel
{
    private FieldState FieldState { get; set; } = FieldState.None;

    /// <summary>What wants a person, from the house.</summary>
    public ImmutableArray<FieldRemark> FieldRemarks { get; private set; } = [];

    /// <summary>
    /// How far the work is that a stage plans, in words; none before somebody said something of it. Runs tell what is pulled by themselves,
    /// and more than boxes would take longer than an edit may.
    /// </summary>
    /// <param name="stage">The stage.</param>
    public string? DoneInField(string stage) =>
        stage == "boxes" && FieldState.UpTo > 0
            ? FieldProgress.Of(FieldPlan.Sets(A), FieldState).Where(p => p.Done > 0).Select(p => p.InWords).FirstOrDefault()
            : null;

    private async Task LoadField(CancellationToken cancel)
    {
        FieldState = await fieldDesk.StateAsync(Id, cancel);

        // What failed counts on every page; what else wants a person takes all the tasks to tell, and is told among the findings.
        var asked = FieldState.All.Any(t => t.Value.State == FieldSaid.Wrong) || (Stage == "findings" && FieldState.UpTo > 0);
        if (asked && await fieldDesk.OpenAsync(Id, cancel) is { } field)
            FieldRemarks = field.Remarks;
    }
}
