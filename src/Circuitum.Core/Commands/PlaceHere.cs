using System.Collections.Immutable;
using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Commands;

/// <summary>Puts something where a person points: on the nearest wall, or free on the floor.</summary>
/// <param name="What">As for <see cref="PutOnWall"/>, or <c>island</c>, or a kind of wish.</param>
/// <param name="Storey">The storey.</param>
/// <param name="At">The place.</param>
public sealed record PlaceHere(string What, string Storey, Point At) : JobCommand($"place {Pointing.Sort(What).Word.Replace('-', ' ')}")
{
    private static readonly Dictionary<string, double> Widths = new()
    {
        ["hinged"] = 32,
        ["pocket"] = 30,
        ["sliding"] = 72,
        ["cased"] = 36,
        ["garage-door"] = 108,
        ["window"] = 36,
        ["counter"] = 60,
        ["sink"] = 33,
        ["basin"] = 20,
        ["tub"] = 60,
        ["shower"] = 36,
        ["toilet"] = 20,
        ["cabinet"] = 36,
        ["fireplace"] = 48,
        ["beam"] = 96,
        ["post"] = 6,
        ["duct"] = 24,
        ["panel"] = 0,
    };

    private const double ApplianceWidth = 30;

    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (Pointing.Wall(job, Storey, At) is not { } there)
            return CommandResult.Refuse("There is no room at that place. Draw or type one first.");
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

        var width = Length.Min(
            Length.Inches(sort == "appliance" ? ApplianceWidth : Widths.GetValueOrDefault(what, ApplianceWidth)),
            shape.Walls[wall].Length
        );
        var from = Pointing.From(shape, wall, along, width);
        var hinge = along > shape.Walls[wall].Length / 2 ? End.Finish : End.Start;
        var to = Opening.Outside;
        if (sort is "" or "opening")
            (from, to) = Pointing.Beyond(job, shape, wall, from, width);
        return new PutOnWall(What, room, wall, from, width, to, hinge).Apply(job);
    }
}
