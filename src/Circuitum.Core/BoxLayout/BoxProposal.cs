using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

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

/// <summary>The proposal while it grows: what is there, and where the next box may go.</summary>
internal sealed class Draft(Job job, HouseShape house, CodeEdition edition, List<Box> kept, string? only)
{
    // Farther aside a box would be another one.
    private const int SettleInches = 10;

    private readonly List<Box> added = [];

    internal Job Job => job;

    internal HouseShape House => house;

    internal CodeEdition Edition => edition;

    internal IEnumerable<Box> All => kept.Concat(added);

    internal IEnumerable<RoomShape> Rooms => house.Rooms.Where(r => only is null || r.Room.Id == only);

    internal RoomTraits Traits(RoomShape shape) => edition.Traits(shape.Room.Kind);

    internal Length InchNumber(string name) => edition.Number(name).Length;

    /// <summary>Adds a box with a temporary id; refused ones are passed over.</summary>
    internal Box? Add(Box box)
    {
        if (Refused(box))
            return null;

        // A box never takes the place of another one or of a corner: the nearest place where it can stand is meant.
        if (
            box.Kind is BoxKind.Receptacle or BoxKind.Switch or BoxKind.Provision or BoxKind.Appliance
            || box is { Kind: BoxKind.Light, Outside: false }
        )
            box = BoxBody.Settle(house, box, [.. All], SettleInches);
        var named = box with { Id = $"new-{added.Count}", By = Origin.Planner };
        added.Add(named);
        return named;
    }

    internal void Replace(Box before, Box after) => added[added.IndexOf(before)] = after;

    internal bool IsOwn(Box box) => added.Contains(box);

    /// <summary>Gives the new boxes their lasting ids, those of the proposals they repeat where there are any.</summary>
    internal List<Box> Named(List<Box> old)
    {
        var free = new List<Box>(old);
        var ids = new Dictionary<string, string>();
        var rest = new List<Box>();
        foreach (var box in added)
        {
            var same = free.FirstOrDefault(o =>
                o.Kind == box.Kind
                && o.Room == box.Room
                && o.Appliance == box.Appliance
                && o.Serves == box.Serves
                && o.Wall == box.Wall
                && o.Along == box.Along
                && o.At == box.At
                && o.Outside == box.Outside
            );
            if (same is null)
                rest.Add(box);
            else
            {
                ids[box.Id] = same.Id;
                free.Remove(same);
            }
        }

        foreach (var box in rest.ToList())
        {
            var near = free.Where(o =>
                    o.Kind == box.Kind
                    && o.Room == box.Room
                    && o.Appliance == box.Appliance
                    && o.Serves == box.Serves
                    && o.Outside == box.Outside
                )
                .OrderBy(o => Places.Of(house, o).InchesTo(Places.Of(house, box)))
                .ThenBy(o => o.Id, StringComparer.Ordinal)
                .FirstOrDefault();
            if (near is null)
                continue;
            ids[box.Id] = near.Id;
            free.Remove(near);
            rest.Remove(box);
        }

        var taken = kept.Select(b => b.Id).Concat(ids.Values).ToHashSet();
        foreach (var box in rest)
        {
            var stem = $"{Cut(box.Room)}.{Letter(box)}";
            var n = 1;
            while (!taken.Add($"{stem}{n}"))
                n++;
            ids[box.Id] = $"{stem}{n}";
        }

        return
        [
            .. added.Select(b =>
                b with
                {
                    Id = ids[b.Id],
                    Gangs = [.. b.Gangs.Select(g => g with { Lights = [.. g.Lights.Select(l => ids.GetValueOrDefault(l, l))] })],
                }
            ),
        ];
    }

    private static string Cut(string room) => room.Length > 48 ? room[..48] : room;

    private static string Letter(Box box) =>
        box.Kind switch
        {
            BoxKind.Receptacle => "r",
            BoxKind.Light => "l",
            BoxKind.Switch => "s",
            BoxKind.SmokeAlarm => "a",
            BoxKind.Appliance => "e",
            BoxKind.Disconnect => "d",
            _ => "p",
        };

    private bool Refused(Box box) =>
        job.Decisions.Refused.Any(r =>
            r.Kind == box.Kind
            && r.Room == box.Room
            && r.Appliance == (box.Serves ?? box.Appliance)
            && r.Wall == box.Wall
            && (
                box.Wall is null
                    ? r.At is { } at && box.At is { } here && at.InchesTo(here) < 12
                    : (r.Along - box.Along).Abs() < Length.Inches(12)
            )
        );
}
