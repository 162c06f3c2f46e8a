using System.Data;
using Circuitum.Core.Analysis;
using MiniExcelLibs;
using MiniExcelLibs.OpenXml;

namespace Circuitum.Formats;

/// <summary>
/// The lists of a job as a workbook: schedule of each panel, home runs, cables from box to box, material, boxes. Numbers are numbers; text
/// is text.
/// </summary>
public static class ListsXlsx
{
    /// <summary>The workbook.</summary>
    public static byte[] Write(JobAnalysis a)
    {
        var sheets = new DataSet();
        foreach (var at in a.Panels)
        {
            Sheet(
                sheets,
                at.Panel.Name,
                ["Space", "Circuit", "Serves", "Breaker A", "Poles", "Protection", "Wire", .. a.Edition.Supply.Headings("VA")],
                at.Schedule.Select(r =>
                    r switch
                    {
                        { Feeder: { } f } => (object?[])
                            [
                                Place(r),
                                null,
                                $"Feeder to {a.PanelById(f.To)!.Panel.Name}",
                                r.SecondPole ? null : f.Breaker,
                                r.SecondPole ? null : 2,
                                null,
                                r.SecondPole ? null : f.Made,
                                .. r.Load.Each.Select(l => Va(l.Value)),
                            ],
                        { Circuit: { } c } =>
                        [
                            Place(r),
                            c.Number,
                            r.SecondPole ? $"{c.Label} (second pole)" : c.Label,
                            r.SecondPole ? null : c.Breaker,
                            r.SecondPole ? null : c.Poles,
                            r.SecondPole ? null : c.Protection.Mark,
                            r.SecondPole ? null : $"{c.Cable}",
                            .. r.Load.Each.Select(l => Va(l.Value)),
                        ],
                        _ => [Place(r), null, "Spare", null, null, null, null, .. r.Load.Each.Select(_ => (object?)null)],
                    }
                )
            );
        }

        foreach (var list in Lists.Of(a))
            Sheet(sheets, list.Title, list.Columns, list.Rows);
        return Bytes(sheets);
    }

    /// <summary>Sheets as a workbook.</summary>
    internal static byte[] Bytes(DataSet sheets)
    {
        using var stream = new MemoryStream();
        stream.SaveAs(sheets, configuration: new OpenXmlConfiguration { AutoFilter = false });
        return stream.ToArray();
    }

    private static object Place(PanelRow r) => r.Half == Core.Jobs.TandemHalf.Whole ? r.Space : r.Place;

    private static object? Va(double value) => value > 0 ? Math.Round(value) : null;

    // A sheet's name has 31 characters at most, none of those that a reference uses, and stands once.
    internal static void Sheet(DataSet sheets, string name, string[] columns, IEnumerable<object?[]> rows)
    {
        var plain = new string([.. name.Where(c => !char.IsControl(c) && !char.IsSurrogate(c) && "[]:*?/\\'".IndexOf(c) < 0)]).Trim();
        plain =
            plain.Length == 0 ? "Panel"
            : plain.Length > 28 ? plain[..28]
            : plain;
        var free = plain;
        for (var n = 2; sheets.Tables.Contains(free); n++)
            free = $"{plain} {n}";
        var table = sheets.Tables.Add(free);
        foreach (var column in columns)
            table.Columns.Add(column, typeof(object));
        foreach (var row in rows)
            table.Rows.Add([.. row.Select(v => v is string s ? (object)Plain(s) : v ?? DBNull.Value)]);
    }

    // What XML cannot hold is left out.
    private static string Plain(string text) => new([.. text.Where(System.Xml.XmlConvert.IsXmlChar)]);
}
