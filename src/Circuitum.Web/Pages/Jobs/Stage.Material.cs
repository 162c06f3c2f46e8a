using Circuitum.Core.Analysis;
using Circuitum.Core.Takeoff;
using Circuitum.Storage;
using Circuitum.Web.Work;
using Microsoft.AspNetCore.Mvc;

namespace Circuitum.Web.Pages.Jobs;

// What the stage of material shows beside the house.
public sealed partial class StageModel
{
    /// <summary>What of the material is looked at: the takeoff, the reels, the labour or the estimate.</summary>
    [BindProperty(SupportsGet = true, Name = "look")]
    public string Look
    {
        get;
        set => field = value is "reels" or "labour" or "estimate" ? value : "takeoff";
    } = "takeoff";

    /// <summary>How the takeoff is divided: by stage, room, panel or circuit.</summary>
    [BindProperty(SupportsGet = true, Name = "by")]
    public string By
    {
        get;
        set => field = value is "room" or "panel" or "circuit" ? value : "stage";
    } = "stage";

    /// <summary>What is searched for.</summary>
    [BindProperty(SupportsGet = true, Name = "find")]
    public string Find
    {
        get;
        set => field = value is null ? "" : value[..Math.Min(value.Length, 60)].Trim();
    } = "";

    /// <summary>The line that is open: its stage, a colon and its key.</summary>
    [BindProperty(SupportsGet = true, Name = "line")]
    public string LineKey
    {
        get;
        set => field = value ?? "";
    } = "";

    /// <summary>The issued set that is compared with, or none.</summary>
    [BindProperty(SupportsGet = true, Name = "against")]
    public int? Against { get; set; }

    /// <summary>The appliances that the owner may put off, by their ids.</summary>
    [BindProperty(SupportsGet = true, Name = "option")]
    public string[] Options { get; set; } = [];

    /// <summary>The prices.</summary>
    public PriceBook Prices { get; private set; } = PriceBook.Empty;

    /// <summary>The sets that were issued.</summary>
    public IReadOnlyList<IssuedSet> Sets { get; private set; } = [];

    /// <summary>The orders of the job.</summary>
    public IReadOnlyList<Order> Orders { get; private set; } = [];

    /// <summary>The house as it was when the compared set was issued, or none.</summary>
    public JobAnalysis? Before { get; private set; }

    /// <summary>The material, worked out once for a page.</summary>
    public MaterialView Material => field ??= MaterialView.Of(this);

    private string MaterialLink =>
        Stage == "material"
            ? $"&look={Look}&by={By}"
                + (Find.Length > 0 ? $"&find={Uri.EscapeDataString(Find)}" : "")
                + (LineKey.Length > 0 ? $"&line={Uri.EscapeDataString(LineKey)}" : "")
                + (Against is { } set ? $"&against={set}" : "")
            : "";

    /// <summary>Address of the stage with another look at it.</summary>
    public string Looking(string? look = null, string? by = null, string? line = null, string? find = null, int? against = -1) =>
        $"/jobs/{Id}/material?look={look ?? Look}&by={by ?? By}"
        + ((find ?? Find).Length > 0 ? $"&find={Uri.EscapeDataString(find ?? Find)}" : "")
        + (line is { Length: > 0 } ? $"&line={Uri.EscapeDataString(line)}" : "")
        + ((against == -1 ? Against : against) is { } set ? $"&against={set}" : "");

    private async Task LoadMaterial(CancellationToken cancel)
    {
        Prices = await supply.PricesAsync(cancel);
        Orders = await supply.OrdersAsync(Id, cancel);
        Sets = await desk.IssuedAsync(Id, cancel);
        if (Against is { } set && Sets.Any(s => s.Number == set))
            Before = await desk.IssuedAsync(Id, set, cancel);
    }
}
