using System.Globalization;
using Circuitum.Core.Analysis;
using Circuitum.Core.Measure;
using Circuitum.Core.Takeoff;

namespace Circuitum.Formats;

/// <summary>The lists of a job.</summary>
public static class Lists
{
    /// <summary>Their names.</summary>
    public static IReadOnlyList<string> Names { get; } = ["home-runs", "feeders", "box-to-box", "cable", "box-fills", "material"];

    /// <summary>All of them, in the order of <see cref="Names"/>.</summary>
    /// <param name="a">The analysis.</param>
    public static IReadOnlyList<JobList> Of(JobAnalysis a) =>
        [
            new(
                "home-runs",
                "Home runs",
                ["Circuit", "Label", "Panel", "To", "Cable", Long(a), "Way", "Took"],
                [
                    .. PullList
                        .Of(a)
                        .SelectMany(g => g.Lines)
                        .OrderBy(l => l.Circuit.Number)
                        .Select(l =>
                            new object?[]
                            {
                                l.Circuit.Number,
                                l.Label,
                                a.PanelById(l.Circuit.Panel)?.Panel.Name,
                                l.To,
                                $"{l.Cable}",
                                Far(a, l.Cut),
                                l.Way,
                                l.Pulled?.Measured is { } m ? Far(a, m) : null,
                            }
                        ),
                ]
            ),
            new(
                "feeders",
                "Feeders",
                ["From", "To", "Breaker A", "Made of", "Load A", Long(a), "Drop percent", "Bends", "Depth in", "Way"],
                [.. a.Panels.Where(p => p.Feeder is not null).Select(p => Feeder(a, p, p.Feeder!))]
            ),
            new(
                "box-to-box",
                "Box to box",
                ["Circuit", "From", "To", "Cable", Long(a), "Way"],
                [
                    .. a.Circuits.SelectMany(c =>
                        PullList.Branches(a, c).Select(b => new object?[] { c.Number, b.From, b.To, $"{b.Cable}", Far(a, b.Cut), b.Way })
                    ),
                ]
            ),
            new(
                "cable",
                "Cable",
                ["What", $"{Long(a)} to cut", $"{Long(a)} with waste"],
                [
                    .. a.Cable.ByType.Select(t =>
                        new object?[] { t.Cable, Far(a, t.Cut), Far(a, t.Cut.InFeet * (100 + a.Job.Preferences.WastePercent) / 100) }
                    ),
                    .. a.Cable.Conduit.Select(m => new object?[] { m.What, null, Far(a, m.Feet) }),
                ]
            ),
            new(
                "box-fills",
                "Boxes",
                ["Box", "Room", "Size", $"In it, {VolumeText.Word(a.Units)}", $"Holds, {VolumeText.Word(a.Units)}", "Circuit"],
                [
                    .. a.Job.Decisions.Boxes.Select(b =>
                        new object?[]
                        {
                            b.Id,
                            a.Job.RoomById(b.Room)!.Name,
                            a.Specs[b.Id].Entry?.Name,
                            a.Specs[b.Id].Fill is { } fill ? VolumeText.Round(fill.Inches3, a.Units) : null,
                            a.Specs[b.Id].Entry is { } entry ? VolumeText.Round(entry.Volume, a.Units) : null,
                            a.CircuitOf(b.Id)?.Number,
                        }
                    ),
                ]
            ),
            Material(a),
        ];

    private static JobList Material(JobAnalysis a) =>
        new(
            "material",
            "Material",
            ["Stage", "Group", "Key", "What", "Needed", "Unit", "Held back", "Why held"],
            [
                .. HouseMaterial
                    .Of(a)
                    .Lines.Select(l =>
                        new object?[]
                        {
                            MaterialWords.Stage(l.Stage),
                            l.Item.Type.Group,
                            l.Item.Key,
                            l.Item.Text,
                            Math.Round(l.Quantity, 1),
                            MaterialWords.Unit(l.Item.Type.Unit),
                            l.Held > 0 ? Math.Round(l.Held, 1) : null,
                            string.Join("; ", l.Reasons),
                        }
                    ),
            ]
        );

    /// <summary>A list as CSV, each cell safe to open.</summary>
    /// <param name="a">The analysis.</param>
    /// <param name="name">One of <see cref="Names"/>.</param>
    /// <exception cref="ArgumentException">There is no such list.</exception>
    public static string Csv(JobAnalysis a, string name)
    {
        var list = Of(a).FirstOrDefault(l => l.Name == name) ?? throw new ArgumentException($"There is no list '{name}'.", nameof(name));
        return ScheduleCsv.Lines(
            list.Rows.Select(r => r.Select(c => Convert.ToString(c, CultureInfo.InvariantCulture) ?? "").ToArray()).Prepend(list.Columns)
        );
    }

    private static object?[] Feeder(JobAnalysis a, PanelAnalysis p, Feeder f) =>
        [
            a.PanelById(f.From)!.Panel.Name,
            p.Panel.Name,
            f.Breaker,
            f.Made,
            Math.Round(f.Load.Current.Value, 1),
            Far(a, f.Cut),
            Math.Round(f.DropPercent, 2),
            f.Run.Bends is { } bends ? string.Join(" / ", bends.Stretches) : null,
            f.Run.Buried ? Math.Round(f.Run.Depth.InInches, 1) : null,
            f.Route.Told(a.Units),
        ];

    private static string Long(JobAnalysis a) => a.Units == LengthUnits.FeetInches ? "Feet" : "Metres";

    private static double Far(JobAnalysis a, Length length) => Far(a, length.InFeet);

    private static double Far(JobAnalysis a, double feet) =>
        a.Units == LengthUnits.FeetInches ? Math.Round(feet, 1) : Math.Round(feet * LengthText.MetresInFoot, 2);
}
