using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.BoxLayout;

/// <summary>
/// The door to box layout: proposes every box that the edition asks for and that no person has placed or refused.
/// A person's boxes are kept as they are; a proposal made again keeps the id it had.
/// </summary>
public static class BoxProposal
{
    /// <summary>An id for a box that a person adds to a room.</summary>
    internal static string FreeId(Job job, string room)
    {
        var n = 1;
        while (job.Decisions.Boxes.Any(b => b.Id == $"{room}.x{n}"))
            n++;
        return $"{room}.x{n}";
    }

    /// <summary>The job with the planner's boxes laid out afresh around the persons' ones.</summary>
    /// <param name="job">A checked job.</param>
    /// <param name="room">Only this room, or none for the house.</param>
    public static Job Propose(Job job, string? room = null)
    {
        var house = HouseShape.Of(job);
        var edition = CodeLibrary.EditionOf(job);
        var old = job.Decisions.Boxes.Where(b => b.By == Origin.Planner && (room is null || b.Room == room)).ToList();
        var oldIds = old.Select(b => b.Id).ToHashSet();
        var kept = job.Decisions.Boxes.Where(b => !oldIds.Contains(b.Id)).ToList();
        var draft = new Draft(job, house, edition, kept, room);
        WishRules.Add(draft);

        // The plug of a refrigerator serves the wall that it stands at, so it is there before the walls are walked.
        ApplianceOutlets.Add(draft);
        if (edition.Board is { } board)
            SocketRules.Add(draft, board);
        else
            ReceptacleRules.Add(draft);
        LightRules.Add(draft);
        if (edition.InForce("box.alarm"))
            AlarmRules.Add(draft);
        if (edition.InForce("box.disconnect"))
            EquipmentRules.Add(draft);
        var added = draft.Named(old);
        var boxes = kept.Concat(added).ToImmutableArray();
        return job with { Decisions = DropLost(job.Decisions with { Boxes = boxes }) };
    }

    /// <summary>Takes boxes that are gone out of circuits and switches.</summary>
    public static Decisions DropLost(Decisions decisions)
    {
        var there = decisions.Boxes.Select(b => b.Id).ToHashSet();
        var boxes = decisions.Boxes.Select(b =>
            b.Gangs.Length == 0
                ? b
                : b with
                {
                    Gangs =
                    [
                        .. b.Gangs.Select(g => g with { Lights = [.. g.Lights.Where(there.Contains)] }).Where(g => g.Lights.Length > 0),
                    ],
                }
        );
        var circuits = decisions
            .Circuits.Select(c =>
                c.Boxes.All(m => there.Contains(m.Box)) ? c : c with { Boxes = [.. c.Boxes.Where(m => there.Contains(m.Box))] }
            )
            .Select(c => c.First is { } first && !there.Contains(first) ? c with { First = null } : c);
        // A circuit that has lost all it fed is no circuit, unless a person made it or gave it a name.
        var before = decisions.Circuits.ToDictionary(c => c.Number, c => c.Boxes.Length);
        var kept = circuits
            .Where(c => c.Boxes.Length > 0 || before[c.Number] == 0 || c.Locked || c.Label is not null || c.By == Origin.Person)
            .ToList();
        var gone = decisions.Circuits.Select(c => c.Number).Except(kept.Select(c => c.Number)).ToHashSet();
        if (gone.Count > 0)
            decisions = (
                decisions with
                {
                    Circuits = [.. kept],
                    Spaces = [.. decisions.Spaces.Where(s => !gone.Contains(s.Circuit))],
                }
            ).WithoutLostPairs();
        return decisions with
        {
            Boxes = GangOrder.Recounted(boxes),
            Circuits = [.. kept],
            Pulled = [.. decisions.Pulled.Where(p => there.Contains(p.To))],
        };
    }
}
