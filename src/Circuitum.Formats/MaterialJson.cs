using System.Text.Json;
using Circuitum.Core.Analysis;
using Circuitum.Core.Takeoff;

namespace Circuitum.Formats;

/// <summary>The takeoff as JSON: each line with what it comes from.</summary>
public static class MaterialJson
{
    private static readonly JsonSerializerOptions Options = new(JsonSerializerDefaults.Web)
    {
        Encoder = System.Text.Encodings.Web.JavaScriptEncoder.UnsafeRelaxedJsonEscaping,
    };

    /// <summary>The takeoff of a house.</summary>
    /// <param name="a">The analysis.</param>
    public static string Write(JobAnalysis a)
    {
        var material = HouseMaterial.Of(a);
        return JsonSerializer.Serialize(
            new
            {
                job = a.Job.Name,
                lines = Buying
                    .Of(a, material, held: false)
                    .Select(b => new
                    {
                        key = b.Line.Item.Key,
                        text = b.Line.Item.Text,
                        group = b.Line.Item.Type.Group,
                        stage = MaterialWords.Stage(b.Line.Stage),
                        unit = MaterialWords.Unit(b.Line.Item.Type.Unit),
                        quantity = Round(b.Line.Quantity),
                        held = Round(b.Line.Held),
                        heldFor = b.Line.Reasons,
                        onTheShelf = Round(b.Shelf),
                        toBuy = Round(b.Quantity),
                        asSold = b.Words,
                        from = b.Line.Pieces.Select(p => new
                        {
                            of = $"{p.From}",
                            room = p.Place.Room,
                            circuit = p.Place.Circuit,
                            panel = p.Place.Panel,
                            quantity = Round(p.Quantity),
                        }),
                    }),
                reels = CutPlan
                    .Of(a)
                    .Select(c => new
                    {
                        cable = c.Cable,
                        coils = c.Coils,
                        coilFeet = Round(c.Coil.InFeet),
                        fewestByAnyWay = c.Bound,
                        reels = c.Reels.Select(r => new
                        {
                            name = r.Name,
                            feet = Round(r.Begins.InFeet),
                            left = Round(r.Leftover.InFeet),
                            cuts = r.Cuts.Select(x => new
                            {
                                circuit = x.Circuit,
                                from = x.From,
                                to = x.To,
                                feet = Round(x.Length.InFeet),
                            }),
                        }),
                    }),
                hours = Round(LabourPlan.Of(a.Job, material).Hours),
            },
            Options
        );
    }

    private static double Round(double value) => Math.Round(value, 2);
}
