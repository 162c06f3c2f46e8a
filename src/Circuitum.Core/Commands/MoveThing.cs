using Circuitum.Core.Analysis;
using Circuitum.Core.Drafting;
using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Commands;

/// <summary>Moves an opening, a fixed thing, the panel or a wish to where a person points.</summary>
/// <param name="Thing">Kind and id, such as <c>opening:o3</c> or <c>panel:main</c>.</param>
/// <param name="At">The place of its middle.</param>
public sealed record MoveThing(Subject Thing, Point At) : JobCommand("move")
{
    /// <inheritdoc/>
    public override string Nudges => Thing.ToString();

    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        var id = Thing.Id;
        switch (Thing.Kind)
        {
            case SubjectKind.Opening when job.Openings.FirstOrDefault(o => o.Id == id) is { } opening:
                // A door goes along the walls of the room that it is given on, and from there to whatever is behind.
                var (shape, wall, along) = Pointing.Wall(job, "", At, opening.Room)
                    ?? Pointing.Wall(job, job.RoomById(opening.Room)!.Storey, At, opening.Room)!.Value;
                var from = Pointing.From(shape, wall, along, opening.Width);
                (from, var to) = Beyond.Of(job, shape, wall, from, opening.Width);
                return CommandResult.Checked(
                    job with
                    {
                        Openings = job.Openings.Replace(opening, opening with { Wall = wall, From = from, To = to }),
                    }
                );
            case SubjectKind.Panel
                when job.Panels.FirstOrDefault(p => p.Id == id) is { } panel
                    && Pointing.Wall(job, job.RoomById(panel.Room)!.Storey, At) is { } there:
                return CommandResult.Checked(
                    job with
                    {
                        Panels = job.Panels.Replace(
                            panel,
                            panel with
                            {
                                Room = there.Shape.Room.Id,
                                Wall = there.Wall,
                                Along = there.Along.RoundTo(Length.Inches(0.5)),
                            }
                        ),
                    }
                );
            case SubjectKind.Wish
                when job.Wishes.FirstOrDefault(w => w.Id == id) is { } wish
                    && Pointing.Wall(job, job.RoomById(wish.Room)!.Storey, At) is { } there:
                return CommandResult.Checked(
                    job with
                    {
                        Wishes = job.Wishes.Replace(
                            wish,
                            wish with
                            {
                                Room = there.Shape.Room.Id,
                                At = new(At.X.RoundTo(Length.Inches(1)), At.Y.RoundTo(Length.Inches(1))),
                            }
                        ),
                    }
                );
            case SubjectKind.Counter when job.Counters.FirstOrDefault(c => c.Id == id) is { } c && Moved(job, c.Room, c.Spot) is { } spot:
                return CommandResult.Checked(
                    job with
                    {
                        Counters = job.Counters.Replace(c, c with { Room = spot.Room, Spot = spot.Spot }),
                    }
                );
            case SubjectKind.Fixture when job.Fixtures.FirstOrDefault(c => c.Id == id) is { } f && Moved(job, f.Room, f.Spot) is { } spot:
                return CommandResult.Checked(
                    job with
                    {
                        Fixtures = job.Fixtures.Replace(f, f with { Room = spot.Room, Spot = spot.Spot }),
                    }
                );
            case SubjectKind.Appliance when job.ApplianceById(id) is { } x && Moved(job, x.Room, x.Spot) is { } spot:
                return CommandResult.Checked(
                    job with
                    {
                        Appliances = job.Appliances.Replace(x, x with { Room = spot.Room, Spot = spot.Spot }),
                    }
                );
            default:
                return CommandResult.Refuse("That is not there any more, or there is no room at that place.");
        }
    }

    private (string Room, Spot Spot)? Moved(Job job, string room, Spot spot)
    {
        if (Pointing.Wall(job, job.RoomById(room)!.Storey, At) is not { } there)
            return null;
        if (spot.Wall is null)
            return (
                there.Shape.Room.Id,
                spot with
                {
                    At = new((At.X - (spot.Width / 2)).RoundTo(Length.Inches(1)), (At.Y - (spot.Depth / 2)).RoundTo(Length.Inches(1))),
                }
            );
        return (
            there.Shape.Room.Id,
            spot with
            {
                Wall = there.Wall,
                From = Pointing.From(there.Shape, there.Wall, there.Along, spot.Width),
            }
        );
    }
}
