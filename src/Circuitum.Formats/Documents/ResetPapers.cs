using System.Globalization;
using Circuitum.Core.Analysis;
using Circuitum.Core.Simulation;

namespace Circuitum.Formats.Documents;

/// <summary>For the owner and the door of the panel: what to look at when a receptacle is dead.</summary>
internal static class ResetPapers
{
    internal static void Write(PaperDraft s, JobAnalysis a)
    {
        var all = Resets.Of(a);
        Card(s, a, all);
        s.Part("If a receptacle is dead", flows: true);
        s.Text(
            "Unplug what is in it. Look at the places in their order and press reset, or turn the breaker fully off and on. What opens "
                + "again at once has a reason: leave it off and call an electrician. Never open a box or the panel."
        );
        if (all.Length == 0)
            s.Text("No receptacle is on a circuit yet.");
        foreach (var room in all.GroupBy(d => d.Room))
        {
            s.Heading(room.Key);
            s.Table(
                [new("What", 16), new("Where", 30), new("Box", 10), new("Look at, in this order", 44)],
                room.Select(d => new[] { d.Name, d.Place, d.Box.Id, string.Join("; then ", d.Resets.Select(Say)) })
            );
        }
    }

    // The short one: each device once, with what it brings back.
    private static void Card(PaperDraft s, JobAnalysis a, IReadOnlyCollection<DeadOutlet> all)
    {
        s.Part("Resets, beside the directory");
        var devices = all.SelectMany(d => d.Resets.Select(r => (Reset: r, Dead: d))).Where(x => x.Reset.Box is not null).ToList();
        if (devices.Count == 0)
        {
            s.Text("No receptacle of this house resets others: look at the breaker alone.");
            return;
        }

        s.Table(
            [new("Reset", 40), new("Brings back", 60)],
            devices
                .GroupBy(x => x.Reset.Box)
                .Select(g =>
                    new[] { Say(a, g.First().Reset), string.Join("; ", g.GroupBy(x => x.Dead.Room).Select(r => Count(r.Key, r.Count()))) }
                )
        );
    }

    private static string Say(JobAnalysis a, Reset reset) =>
        $"{reset.What}: {a.Job.RoomById(a.Boxes[reset.Box!].Room)!.Name}, {BoxSchedule.Place(a.House, a.Boxes[reset.Box!])}";

    private static string Say(Reset reset) => $"{reset.What}: {reset.Where}";

    private static string Count(string room, int count) =>
        count == 1 ? room : string.Create(CultureInfo.InvariantCulture, $"{room}, {count} places");
}
