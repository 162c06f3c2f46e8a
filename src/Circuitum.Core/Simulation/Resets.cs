using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Simulation;

/// <summary>Something that, when it is off, makes an outlet dead.</summary>
/// <param name="Box">The box of a protective receptacle; none for a breaker.</param>
/// <param name="Circuit">The circuit; none for the breaker of a feeder.</param>
/// <param name="What">What it is, such as <c>GFCI receptacle</c>, or <c>breaker 7, arc-fault</c>.</param>
/// <param name="Where">Where it is: a room and a place on its wall, or a panel and a space.</param>
public sealed record Reset(string? Box, int? Circuit, string What, string Where);

/// <summary>What can make an outlet dead, nearest first.</summary>
/// <param name="Box">The box.</param>
/// <param name="Name">What an owner calls it: the appliance, or a receptacle.</param>
/// <param name="Room">The name of its room.</param>
/// <param name="Place">Where in the room.</param>
/// <param name="Resets">What to look at, in this order.</param>
/// <param name="WithIt">Boxes that are dead with it when the first of them is off.</param>
public sealed record DeadOutlet(
    Box Box,
    string Name,
    string Room,
    string Place,
    ImmutableArray<Reset> Resets,
    ImmutableArray<string> WithIt
);

/// <summary>For each receptacle the resets and breakers that can make it dead, found by opening each of them in the network.</summary>
public static class Resets
{
    /// <summary>Where a reset is that sits in the dead receptacle.</summary>
    public const string Itself = "its own buttons";

    /// <summary>Every receptacle of a house, room by room.</summary>
    /// <param name="a">The house.</param>
    public static ImmutableArray<DeadOutlet> Of(JobAnalysis a)
    {
        var order = a.Job.Rooms.Select((r, i) => (r.Id, i)).ToDictionary(x => x.Id, x => x.i);
        return
        [
            .. HouseWirings
                .Of(a)
                .SelectMany(w => Of(a, w))
                .OrderBy(d => order[d.Box.Room])
                .ThenBy(d => d.Box.Outside)
                .ThenBy(d => d.Box.Wall ?? int.MaxValue)
                .ThenBy(d => d.Box.Along),
        ];
    }

    private static IEnumerable<DeadOutlet> Of(JobAnalysis a, Wiring w)
    {
        var on = Setting.AllOn(w, 0);
        var live = Live(w, on);
        var dead = Enumerable.Range(0, w.Guards.Length).ToDictionary(g => g, g => live.Except(Live(w, on with { Off = [g] })).ToHashSet());
        var seen = new HashSet<string>();
        for (var i = 0; i < w.Outlets.Length; i++)
        {
            var o = w.Outlets[i];
            if (o.Kind is OutletKind.Light or OutletKind.Alarm || a.Boxes[o.Box].Kind == BoxKind.Light || !seen.Add(o.Box))
                continue;
            var box = a.Boxes[o.Box];
            var kills = dead.Where(d => d.Value.Contains(i)).OrderBy(d => d.Value.Count).ThenBy(d => w.Guards[d.Key].Box is null).ToList();
            yield return new(
                box,
                NameOf(a, box),
                a.House[box.Room].Room.Name + (box.Outside ? ", outside" : ""),
                BoxSchedule.Place(a.House, box),
                [.. kills.Select(k => ResetOf(a, w.Guards[k.Key], o.Box)), .. Feeders(a, w)],
                kills.Count == 0 ? [] : [.. kills[0].Value.Select(x => w.Outlets[x].Box).Where(b => b != o.Box).Distinct()]
            );
        }
    }

    private static string NameOf(JobAnalysis a, Box box) =>
        a.Job.ApplianceById(box.Appliance) is { } appliance ? ApplianceFacts.Of(a.Job, appliance).Name : "receptacle";

    private static HashSet<int> Live(Wiring w, Setting setting)
    {
        var run = Simulator.Run(w, setting);
        return [.. Enumerable.Range(0, w.Outlets.Length).Where(i => run.At(i).HotBack > Reading.Nothing)];
    }

    private static Reset ResetOf(JobAnalysis a, Guard guard, string at)
    {
        var sort = string.Join(
            " and ",
            new[] { guard.ArcFault ? "arc-fault" : "", guard.GroundFault ? "ground-fault" : "" }.Where(s => s != "")
        );
        if (guard.Box is { } box)
            return new(
                box,
                guard.Circuit,
                $"{sort} receptacle",
                box == at ? Itself : $"{a.House[a.Boxes[box].Room].Room.Name}, {BoxSchedule.Place(a.House, a.Boxes[box])}"
            );
        return new(
            null,
            guard.Circuit,
            $"breaker of {guard.Amperes} A{(sort.Length > 0 ? $", {sort}" : "")}",
            SpaceOf(a, r => r.Circuit?.Number == guard.Circuit)
        );
    }

    // A sub-panel is dead when the breaker of its feeder is off, and so on up to the service.
    private static IEnumerable<Reset> Feeders(JobAnalysis a, Wiring w)
    {
        var panel = a.CircuitByNumber(w.Guards[0].Circuit)?.Panel;
        while (a.PanelById(panel)?.Feeder is { } feeder)
        {
            yield return new(null, null, $"feeder breaker of {feeder.Breaker} A", SpaceOf(a, r => r.Feeder == feeder));
            panel = feeder.From;
        }
    }

    private static string SpaceOf(JobAnalysis a, Func<PanelRow, bool> which)
    {
        foreach (var panel in a.Panels)
        {
            if (panel.Schedule.FirstOrDefault(r => which(r) && !r.SecondPole) is { } row)
                return $"{panel.Panel.Name}, space {row.Place}";
        }

        return "no panel yet";
    }
}
