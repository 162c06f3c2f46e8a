using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Sizing;

namespace Circuitum.Core.Analysis;

/// <summary>Which cables end in a box, and what that makes of its volume.</summary>
public static class BoxCables
{
    /// <summary>The cables in a box of a circuit, by the planned run.</summary>
    /// <param name="circuit">The circuit.</param>
    /// <param name="box">The box's id.</param>
    public static ImmutableArray<CableEnd> In(CircuitAnalysis circuit, string box)
    {
        var ends = ImmutableArray.CreateBuilder<CableEnd>();
        foreach (var segment in circuit.Run.Cables.Where(h => h.To == box || h.From == box))
            ends.Add(new(segment.To == box ? segment.From ?? segment.Via : segment.To, circuit.CableOf(segment), segment.Use));

        // Where a shared home run ends, the other circuit goes on.
        if (circuit is { Pair: { } pair, Carried: false } && circuit.Run.First == box)
            ends.Add(new($"circuit {pair.Second}", circuit.BranchCable with { Conductors = 2 }, CableUse.Power));
        return ends.ToImmutable();
    }

    /// <summary>
    /// How the receptacle in a box is connected: through a protective device's own terminals; on a pigtail where more than two
    /// cables meet or two lines share the neutral, which must not hang on a device (300.13(B)); else by preference.
    /// </summary>
    public static Connections Style(Job job, CircuitAnalysis circuit, string box)
    {
        if (circuit.Protection.In(box) is not null)
            return Connections.FeedThrough;
        var cables = circuit.Run.Cables.Count(h => h.To == box || h.From == box);
        var shared = circuit is { Pair.Kind: PairKind.SharedNeutral, Carried: false } && circuit.Run.First == box;
        return cables > 2 || shared || circuit.Load.Split ? Connections.Pigtail : PreferenceFields.Of(job, circuit.Circuit).Connections;
    }

    /// <summary>What is in a device or fixture box for its volume; none when a conductor is too large to have an allowance.</summary>
    /// <param name="job">The job.</param>
    /// <param name="circuit">Its circuit.</param>
    /// <param name="box">The box.</param>
    /// <param name="wide">Whether its device is wider than one gang.</param>
    internal static BoxContents? Contents(Job job, CircuitAnalysis circuit, Box box, bool wide)
    {
        var ends = In(circuit, box.Id);
        var rows = CodeLibrary.Conductors.Copper.ToDictionary(r => r.Size);
        if (ends.Length == 0 || ends.Any(e => e.Size.IsSection || rows[e.Size].BoxIn3 <= 0))
            return null;
        var yokes = box.Kind switch
        {
            BoxKind.Switch => box.Gangs.Length,
            BoxKind.Receptacle => box.Style == ReceptacleStyle.Quad ? 2 : 1,
            BoxKind.Appliance when job.ApplianceById(box.Appliance) is not { } a || !ApplianceFacts.Of(job, a).Hardwired => 1,
            BoxKind.Disconnect => 1,
            _ => 0,
        };

        // Where cables meet each of their colours is joined once, the bare wires too.
        // On a pigtail of the circuit's own wire the device has that size; fed through, the largest that lands on it.
        var through = box.Kind != BoxKind.Switch && Style(job, circuit, box.Id) == Connections.FeedThrough;
        var device = (through ? ends.MaxBy(e => rows[e.Size].BoxIn3) : ends.MinBy(e => rows[e.Size].BoxIn3))!.Size;
        return new()
        {
            Conductors = Summed(ends.Select(e => new WireCount(e.Size, e.Conductors))),
            Grounds = Summed(ends.Select(e => new WireCount(CodeLibrary.Conductors.Cable(e.Size)?.Ground ?? e.Size, 1))),
            Devices = [.. Enumerable.Repeat(new DeviceYoke(device, wide), yokes)],
            Connectors = ends.Length > 1 ? ends.Max(e => e.Conductors) + 1 : 0,
        };
    }

    private static ImmutableArray<WireCount> Summed(IEnumerable<WireCount> wires) =>
        [.. wires.GroupBy(w => w.Size).Select(g => new WireCount(g.Key, g.Sum(w => w.Count))).OrderByDescending(w => w.Size)];
}
