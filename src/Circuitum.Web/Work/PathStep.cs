using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Entry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Web.Work;

/// <summary>A step from an empty job to a packet, and how far it is.</summary>
/// <param name="Title">What it is about.</param>
/// <param name="Says">How far it is.</param>
/// <param name="Stage">Where it is done.</param>
/// <param name="Pick">What of it is next; empty for nothing in particular.</param>
/// <param name="IsDone">Whether nothing is left of it.</param>
public sealed record PathStep(string Title, string Says, string Stage, string Pick, bool IsDone)
{
    /// <summary>All steps, in their order.</summary>
    public static ImmutableArray<PathStep> All(JobAnalysis a)
    {
        var job = a.Job;
        var indoors = a.House.Rooms.Where(r => !r.Room.Kind.Doorless()).ToList();
        var shut = indoors.FindAll(r => !r.Openings.Any(o => o.Opening.Kind != OpeningKind.Window));
        var dark = indoors.FindAll(r => WantsWindow(r.Room.Kind) && !r.Openings.Any(o => o.Beyond is null));
        var bare = job
            .Rooms.Where(r =>
                Furnishing.Knows(r.Kind) && !job.Appliances.Any(x => x.Room == r.Id) && !job.Fixtures.Any(x => x.Room == r.Id)
            )
            .ToList();
        var musts = a.Findings.Count(f => f.Severity == Severity.Must);
        return
        [
            Step("Rooms", job.Rooms.Length == 0 ? "none yet" : $"{job.Rooms.Length}", "rooms", "", job.Rooms.Length > 0),
            Left("Doors", "without a door", shut.Select(r => r.Room)),
            Left("Windows", "without one", dark.Select(r => r.Room)),
            Left("Fixed things", "without them", bare),
            Step(
                a.Edition.Word("Panel"),
                a.Panel is null ? "none yet" : "hung",
                "rooms",
                a.Panel is { } p ? $"panel:{p.Id}" : "",
                a.Panel is not null
            ),
            Step(a.Edition.Word("Boxes"), Count(job.Decisions.Boxes.Length), "boxes", "", job.Decisions.Boxes.Length > 0),
            Step("Circuits", Count(a.Circuits.Length), "circuits", "", a.Circuits.Length > 0),
            Step(
                "Runs",
                a.Circuits.Length == 0 ? "none yet" : LengthText.Far(a.CableFeet, a.Units, "#,0"),
                "runs",
                "",
                a.Circuits.Length > 0
            ),
            Step("Findings", musts == 0 ? "nothing that must be mended" : $"{musts} must be mended", "findings", "", musts == 0),
        ];

        PathStep Left(string title, string what, IEnumerable<Room> rooms)
        {
            var left = rooms.ToList();
            var says =
                job.Rooms.Length == 0 ? "none yet"
                : left.Count == 0 ? "done"
                : $"{left.Count} {(left.Count == 1 ? "room" : "rooms")} {what}";
            return Step(title, says, "rooms", left is [var first, ..] ? $"room:{first.Id}" : "", job.Rooms.Length > 0 && left.Count == 0);
        }
    }

    private static PathStep Step(string title, string says, string stage, string pick, bool done) => new(title, says, stage, pick, done);

    private static string Count(int n) => n == 0 ? "none yet" : $"{n}";

    private static bool WantsWindow(RoomKind kind) =>
        kind
            is RoomKind.Bedroom
                or RoomKind.Living
                or RoomKind.Family
                or RoomKind.Kitchen
                or RoomKind.Dining
                or RoomKind.Office
                or RoomKind.Den;
}
