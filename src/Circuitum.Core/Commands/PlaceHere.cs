using Circuitum.Core.Codes;
using Circuitum.Core.Drafting;
using Circuitum.Core.Edits;
using Circuitum.Core.Entry;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Commands;

/// <summary>Puts something where a person points: on the nearest wall, or free on the floor.</summary>
/// <param name="What">As for <see cref="PutOnWall"/>, or <c>island</c>, or a kind of wish.</param>
/// <param name="Storey">The storey.</param>
/// <param name="At">The place.</param>
public sealed record PlaceHere(string What, string Storey, Point At) : JobCommand($"place {Pointing.Sort(What).Word.Replace('-', ' ')}")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (Pointing.Wall(job, Storey, At) is not { } there)
            return OnGround(job) ?? CommandResult.Refuse("There is no room at that place. Draw or type one first.");
        var (shape, wall, along) = there;
        var room = shape.Room.Id;
        var place = new Point(At.X.RoundTo(Length.Inches(1)), At.Y.RoundTo(Length.Inches(1)));
        var (sort, what) = Pointing.Sort(What);
        if (
            sort is "" or "wish"
            && Enum.TryParse<WishKind>(what.Replace("-", "", StringComparison.Ordinal), true, out var wish)
            && !int.TryParse(what, out _)
        )
            return CommandResult.Checked(
                job with
                {
                    Wishes = job.Wishes.Add(
                        new Wish
                        {
                            Id = Names.Free(what, job.Wishes.Select(w => w.Id)),
                            Kind = wish,
                            Room = room,
                            At = place,
                        }
                    ),
                }
            );
        if (what == "island")
        {
            var spot = new Spot
            {
                At = new(place.X - Length.Feet(3), place.Y - Length.Inches(18)),
                Width = Length.Feet(6),
                Depth = Length.Feet(3),
            };
            return CommandResult.Checked(
                job with
                {
                    Counters = job.Counters.Add(
                        new Counter
                        {
                            Id = Names.Free("island", job.Counters.Select(c => c.Id)),
                            Room = room,
                            Spot = spot,
                        }
                    ),
                }
            );
        }

        if (sort is "" or "appliance" && CodeLibrary.Appliances.TryGetValue(what, out var type) && type.Overhead)
            return CommandResult.Checked(job with { Appliances = job.Appliances.Add(Hung(job, type, shape, place)) });
        var width = Length.Min(WidthOf(sort, what), shape.Walls[wall].Length);
        var from = Pointing.From(shape, wall, along, width);
        var hinge = along > shape.Walls[wall].Length / 2 ? End.Finish : End.Start;
        var to = Opening.Outside;
        if (sort is "" or "opening")
            (from, to) = Beyond.Of(job, shape, wall, from, width);
        return new PutOnWall(What, room, wall, from, width, to, hinge).Apply(job);
    }

    // What stands in the open needs no outdoor place to be drawn first.
    private CommandResult? OnGround(Job job)
    {
        var (sort, what) = Pointing.Sort(What);
        if (
            sort is not ("" or "appliance")
            || !CodeLibrary.Appliances.TryGetValue(what, out var type)
            || type.Overhead
            || GroundMaker.Make(job, Storey, At, ThingSizes.Of(type)) is not { } ground
        )
            return null;
        return new PutOnWall(What, ground.Room, ground.Wall, ground.From, ThingSizes.Of(type).Wide).Apply(ground.Job);
    }

    // What hangs from the ceiling hangs where the hand is, whichever wall is near.
    private static Appliance Hung(Job job, ApplianceType type, RoomShape room, Point at) =>
        new()
        {
            Id = Names.Free(type.Id, job.Appliances.Select(a => a.Id)),
            Type = type.Id,
            Room = room.Room.Id,
            Spot = Furnishing.Hung(room, type, at),
        };

    private static Length WidthOf(string sort, string what)
    {
        var word = what.Replace("-", "", StringComparison.Ordinal);
        if (sort is "" or "opening" && Enum.TryParse<OpeningKind>(word, true, out var opening) && Enum.IsDefined(opening))
            return ThingSizes.Of(opening);
        return WallThings.SizeOf(what).Wide;
    }
}
