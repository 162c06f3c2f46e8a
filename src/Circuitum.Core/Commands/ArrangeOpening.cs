using Circuitum.Core.Drafting;
using Circuitum.Core.Edits;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Commands;

/// <summary>Puts an opening where people say it goes, or hangs it the other way round, without a number being typed.</summary>
/// <param name="Opening">The opening.</param>
/// <param name="Way">How.</param>
public sealed record ArrangeOpening(string Opening, OpeningWay Way) : JobCommand("arrange opening")
{
    // Two studs and a filler between the windows of a pair.
    private static readonly Length BetweenPair = Length.Inches(4.5);

    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (job.Openings.FirstOrDefault(o => o.Id == Opening) is not { } opening)
            return CommandResult.Refuse(PlanEdit.Gone("opening"));
        return Way switch
        {
            OpeningWay.Flipped => Put(job, opening, Flip(opening)),
            OpeningWay.OnSink => OnSink(job, opening),
            OpeningWay.Paired => Pair(job, opening),
            _ => Put(job, opening, At(job, opening, Middle(job, opening))),
        };
    }

    private static Opening Flip(Opening o) =>
        o with
        {
            Hinge = o.Hinge == End.Start ? End.Finish : End.Start,
            SwingsIn = o.Hinge == End.Start ? o.SwingsIn : !o.SwingsIn,
        };

    // Between the corners, the neighbours and the ends of the room behind.
    private static Length Middle(Job job, Opening opening)
    {
        var house = HouseShape.Of(job);
        var room = house[opening.Room];
        var middle = opening.From + (opening.Width / 2);
        var (from, to) = (Length.Zero, room.Walls[opening.Wall].Length);
        foreach (var o in room.Openings.Where(o => o.Wall == opening.Wall && o.Opening.Id != opening.Id))
        {
            if (o.From + o.Opening.Width <= opening.From)
                from = Length.Max(from, o.From + o.Opening.Width);
            else
                to = Length.Min(to, o.From);
        }

        if (house.Facing(room, opening.Wall).FirstOrDefault(f => f.From <= middle && f.To >= middle) is { } behind)
            (from, to) = (Length.Max(from, behind.From), Length.Min(to, behind.To));
        return (from + to) / 2;
    }

    private static CommandResult OnSink(Job job, Opening opening)
    {
        var sink = job.Fixtures.FirstOrDefault(f =>
            f.Room == opening.Room && f.Spot.Wall == opening.Wall && f.Kind is FixtureKind.Sink or FixtureKind.Basin
        );
        return sink is null
            ? CommandResult.Refuse("There is no sink on its wall.")
            : Put(job, opening, At(job, opening, sink.Spot.From + (sink.Spot.Width / 2)));
    }

    private static CommandResult Pair(Job job, Opening opening)
    {
        var wall = new RoomShape(job.RoomById(opening.Room)!).Walls[opening.Wall];
        var both = opening.Width + BetweenPair + opening.Width;
        if (both > wall.Length)
            return CommandResult.Refuse(
                $"Two of {LengthText.Show(opening.Width, job.Units)} do not fit into the wall. Type a smaller width first."
            );
        var middle = opening.From + (opening.Width / 2);
        var from = Within(middle - (both / 2), wall.Length - both);
        var second = opening with
        {
            Id = Names.Free($"{opening.Kind}", job.Openings.Select(o => o.Id)),
            From = from + opening.Width + BetweenPair,
            Extra = null,
        };
        return CommandResult.Checked(job with { Openings = job.Openings.Replace(opening, opening with { From = from }).Add(second) });
    }

    private static Opening At(Job job, Opening opening, Length middle)
    {
        var shape = new RoomShape(job.RoomById(opening.Room)!);
        var wanted = Within((middle - (opening.Width / 2)).RoundTo(Length.Inches(0.5)), shape.Walls[opening.Wall].Length - opening.Width);
        var (from, to) = Beyond.Of(job, shape, opening.Wall, wanted, opening.Width);
        return opening with { From = from, To = to };
    }

    private static Length Within(Length from, Length most) => Length.Max(Length.Zero, Length.Min(from, most));

    private static CommandResult Put(Job job, Opening was, Opening now) =>
        CommandResult.Checked(job with { Openings = job.Openings.Replace(was, now) });
}
