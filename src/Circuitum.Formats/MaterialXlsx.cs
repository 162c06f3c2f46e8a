using System.Data;
using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Measure;
using Circuitum.Core.Takeoff;

namespace Circuitum.Formats;

/// <summary>The material as a workbook: a sheet for each stage, one for the reels, one for labour.</summary>
public static class MaterialXlsx
{
    /// <summary>The workbook.</summary>
    /// <param name="a">The analysis.</param>
    /// <param name="book">The prices.</param>
    public static byte[] Write(JobAnalysis a, PriceBook book)
    {
        var sheets = new DataSet();
        var material = HouseMaterial.Of(a);
        foreach (var stage in Buying.Of(a, material, held: false).GroupBy(l => l.Line.Stage))
            ListsXlsx.Sheet(
                sheets,
                MaterialWords.Stage(stage.Key),
                ["Group", "Key", "What", "Needed", "Unit", "Held back", "Why held", "At hand", "To buy", "As sold", "Price", "Supplier"],
                stage.Select(l =>
                    new object?[]
                    {
                        l.Line.Item.Type.Group,
                        l.Line.Item.Key,
                        l.Line.Item.Text,
                        Math.Round(l.Line.Quantity, 1),
                        MaterialWords.Unit(l.Line.Item.Type.Unit),
                        l.Line.Held > 0 ? Math.Round(l.Line.Held, 1) : null,
                        string.Join("; ", l.Line.Reasons),
                        l.Shelf > 0 ? Math.Round(l.Shelf, 1) : null,
                        l.Quantity,
                        l.Words,
                        l.Cost(book) is { } cost ? (double)Math.Round(cost, 2, MidpointRounding.AwayFromZero) : null,
                        book.Find(l.Line.Item)?.List.Supplier,
                    }
                )
            );
        var unit = ItemUnits.Of(a.Units);
        ListsXlsx.Sheet(
            sheets,
            "Reels",
            ["Cable", "Reel", "Circuit", "From", "To", a.Units == LengthUnits.FeetInches ? "Feet" : "Metres"],
            CutPlan
                .Of(a)
                .SelectMany(p =>
                    p.Reels.SelectMany(r =>
                        r.Cuts.Select(c =>
                            new object?[]
                            {
                                p.Cable,
                                r.Name,
                                c.Circuit,
                                c.From ?? "panel",
                                c.To,
                                Math.Round(unit.Of(c.Length), unit == ItemUnit.Feet ? 1 : 2),
                            }
                        )
                    )
                )
        );
        var labour = LabourPlan.Of(a.Job, material);
        ListsXlsx.Sheet(
            sheets,
            "Labour",
            ["Stage", "Task", "Times", "Minutes each", "Hours of one person"],
            labour.ByTask.Select(t =>
                new object?[]
                {
                    MaterialWords.Stage(t.Task.Stage),
                    t.Task.Text,
                    Math.Round(t.Times, 1),
                    labour.MinutesOf(t.Task),
                    Math.Round(t.Hours, 2),
                }
            )
        );
        return ListsXlsx.Bytes(sheets);
    }
}
