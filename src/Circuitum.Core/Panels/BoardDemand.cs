using Circuitum.Core.Codes;
using Circuitum.Core.Explain;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Panels;

/// <summary>The demand of split boards: what is connected by use, each times the diversity that the edition states.</summary>
public static class BoardDemand
{
    /// <summary>The demand, with its current in each line if all were even.</summary>
    /// <param name="c">What is connected, by use.</param>
    /// <param name="edition">An edition of split boards.</param>
    public static ServiceLoad Of(ServiceCase c, CodeEdition edition)
    {
        var lines = c.Items.Where(i => i.Use is not null).Select(i => (Item: i, Share: Share(i.Use!.Value, edition))).ToList();
        var total = new VoltAmperes(lines.Sum(l => l.Item.Load.Value * l.Share));
        var current = edition.Supply.Current(total, edition.Supply.Several);
        return new(
            null,
            total,
            current,
            new("Demand", $"{total.Value:#,0} W, {current.Value:0.0} A in each line if all were even")
            {
                Formula = $"{total.Value:#,0} / (1.732 x {edition.Supply.Between}) = {current.Value:0.0} A",
                Citation = edition.Cite("service.standard"),
                Because = $"{c.Items.Sum(i => i.Load.Value):#,0} W are connected.",
                Steps =
                [
                    .. lines.Select(l => new Derivation(l.Item.Name, $"{l.Item.Load.Value * l.Share:#,0} W")
                    {
                        Formula = $"{l.Item.Load.Value:#,0} x {l.Share:0.##}",
                    }),
                ],
            }
        )
        {
            Called = "demand after diversity",
        };
    }

    /// <summary>The diversity of a use: what share of its connected load is on at once.</summary>
    public static double Share(BoardUse use, CodeEdition edition) =>
        edition.Number(
            use switch
            {
                BoardUse.Lighting or BoardUse.GardenLighting => "diversityLights",
                BoardUse.Sockets => "diversitySockets",
                BoardUse.Cooking => "diversityCooking",
                BoardUse.WaterHeating => "diversityHeating",
                BoardUse.Cooling => "diversityCooling",
                _ => "diversityFixed",
            }
        );
}
