using System.Text.Json;
using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Explain;
using Circuitum.Core.Loads;
using Circuitum.Core.Panels;
using Circuitum.Formats.Edits;

namespace Circuitum.Formats;

/// <summary>The whole analysis as JSON with stable names; <c>docs/analysis-format.md</c> says what each one means.</summary>
public static class AnalysisJson
{
    private static readonly JsonSerializerOptions Options = JobFile.MakeOptions(indented: true);

    /// <summary>Writes an analysis.</summary>
    public static string Write(JobAnalysis a) =>
        JsonSerializer.Serialize(
            new
            {
                format = "circuitum-analysis",
                version = 1,
                job = a.Job.Name,
                codeEdition = a.Edition.Id,
                floorAreaSqFt = Math.Round(a.AreaSqFt, 1),
                outlets = a.Job.Decisions.Boxes.Select(b => new
                {
                    id = b.Id,
                    kind = b.Kind,
                    room = b.Room,
                    at = Places.Of(a.House, b),
                    height = b.Height,
                    appliance = b.Appliance,
                    by = b.By,
                    circuit = a.CircuitOf(b.Id)?.Number,
                    va = BoxLoad.Of(a.Job, b).Load.Value,
                    needs = a.NeedsOf(b.Id)
                        .Select(n => new
                        {
                            kind = n.Kind,
                            citation = n.Citation,
                            reason = n.Reason,
                        }),
                }),
                circuits = a.Circuits.Select(c => new
                {
                    number = c.Number,
                    label = c.Label,
                    purpose = c.Circuit.Purpose,
                    outlets = c.Boxes.Select(b => b.Id),
                    volts = c.Load.Volts,
                    connectedVa = c.Load.Connected.Value,
                    sizingAmperes = Math.Round(c.Load.Sizing.Value, 3),
                    loadSteps = c.Load.Derivation,
                    conductor = c.Wire is null
                        ? null
                        : new
                        {
                            size = c.Wire.Size,
                            ampacity = c.Wire.Ampacity.Value,
                            ground = c.Wire.Ground,
                            homeRunSize = c.HomeRunSize,
                            cable = $"{c.Cable}",
                            steps = c.WireDerivation,
                        },
                    breaker = new
                    {
                        amperes = c.Breaker,
                        poles = c.Poles,
                        panel = c.Panel,
                        spaces = a.Panels.SelectMany(p => p.Schedule).Where(r => r.Circuit?.Number == c.Number).Select(r => r.Space),
                        half = a.RowOf(c)?.Half switch
                        {
                            Core.Jobs.TandemHalf.Upper => "upper",
                            Core.Jobs.TandemHalf.Lower => "lower",
                            _ => null,
                        },
                    },
                    protection = new
                    {
                        arcFault = c.Protection.ArcFault,
                        groundFault = c.Protection.GroundFault,
                        reason = c.Protection.Reason,
                        devices = c.Protection.Devices.Select(d => new
                        {
                            kind = d.Kind,
                            outlet = d.Box,
                            covers = d.Covers,
                        }),
                    },
                    run = new
                    {
                        homeRunFt = Math.Round(c.Run.HomeRun.InFeet, 1),
                        cutFt = Math.Round(c.Run.Cut.InFeet, 1),
                        hops = c.Run.Segments.Select(h => new
                        {
                            from = h.From,
                            to = h.To,
                            way = h.Way,
                            cut = h.Cut,
                        }),
                    },
                    dropPercent = Math.Round(c.DropPercent, 3),
                }),
                panel = a.Panel is null
                    ? null
                    : new
                    {
                        id = a.Panel.Id,
                        spaces = a.Panel.Spaces,
                        used = a.SpacesUsed,
                        legAVa = Math.Round(a.Lines[0].Value),
                        legBVa = Math.Round(a.Lines[1].Value),
                    },
                panels = a.Panels.Select(p => new
                {
                    id = p.Panel.Id,
                    spaces = p.Panel.Spaces,
                    used = p.SpacesUsed,
                    legAVa = Math.Round(p.Lines[0].Value),
                    legBVa = Math.Round(p.Lines[1].Value),
                    feeder = p.Feeder is not { } f
                        ? null
                        : new
                        {
                            from = f.From,
                            amperes = f.Breaker,
                            made = f.Made,
                            loadVa = Math.Round(f.Load.Total.Value),
                            cutFt = Math.Round(f.Cut.InFeet, 1),
                            dropPercent = Math.Round(f.DropPercent, 2),
                            steps = f.Derivation,
                        },
                }),
                loads = Loads(a),
                cableFt = Math.Round(a.CableFeet),
                findings = a.Findings.Select(f => new
                {
                    rule = f.RuleId,
                    severity = f.Severity,
                    citation = f.Citation,
                    sentence = f.Sentence,
                    subjects = f.Subjects.Select(x => $"{x}"),
                    fix = f.Fix is { } fix
                        ? new
                        {
                            title = fix.Title,
                            edit = EditCodec.Write(fix.Edit).Word,
                            fields = EditCodec.Write(fix.Edit).Fields.ToDictionary(x => x.Name, x => x.Value),
                        }
                        : null,
                }),
            },
            Options
        ) + "\n";

    // The method that is used, then the load by each that the edition has.
    private static Dictionary<string, object> Loads(JobAnalysis a)
    {
        static string Key(ServiceLoad load) => load.Method is { } method ? $"{method}".ToLowerInvariant() : "byArea";
        var loads = new Dictionary<string, object> { ["used"] = Key(a.Service) };
        foreach (var load in a.ServiceLoads)
            loads[Key(load)] = Service(load.Total.Value, load.Current.Value, load.Derivation);
        return loads;
    }

    private static object Service(double va, double amperes, Derivation steps) =>
        new
        {
            va = Math.Round(va),
            amperes = Math.Round(amperes, 1),
            steps,
        };
}
