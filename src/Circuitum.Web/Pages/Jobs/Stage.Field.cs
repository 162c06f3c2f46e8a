using System.Collections.Immutable;
using Circuitum.Core.Field;

namespace Circuitum.Web.Pages.Jobs;

// How far the work in the house is, on the tabs.
public sealed partial class StageModel
{
    private ImmutableArray<FieldProgress> InField { get; set; } = [];

    /// <summary>What wants a person, from the house.</summary>
    public ImmutableArray<FieldRemark> FieldRemarks { get; private set; } = [];

    /// <summary>How far the work is that a stage plans, in words; none before somebody said something of it.</summary>
    /// <param name="stage">The stage.</param>
    public string? DoneInField(string stage)
    {
        FieldWork? work = stage switch
        {
            "boxes" => FieldWork.Set,
            "runs" => FieldWork.Pull,
            "circuits" => FieldWork.Test,
            _ => null,
        };
        var progress = InField.FirstOrDefault(p => p.Work == work);
        return work is not null && progress.Done > 0 ? progress.InWords : null;
    }

    private async Task LoadField(CancellationToken cancel)
    {
        if ((await fieldDesk.StateAsync(Id, cancel)).UpTo > 0 && await fieldDesk.OpenAsync(Id, cancel) is { } field)
            (InField, FieldRemarks) = (FieldProgress.Of(field.Tasks, field.State), Stage == "findings" ? field.Remarks : []);
    }
}
