using Circuitum.Core.Drafting;
using Circuitum.Core.Edits;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Commands;

/// <summary>Sets what a person types about an opening.</summary>
/// <param name="Opening">The opening.</param>
/// <param name="Kind">What it is.</param>
/// <param name="From">From the wall's first corner to the nearer jamb.</param>
/// <param name="Width">Clear width.</param>
/// <param name="Hinge">Hinge, or moving panel.</param>
/// <param name="SwingsIn">Swings into the room on whose wall it is given.</param>
/// <param name="Sill">A window's sill.</param>
/// <param name="Head">Height of its head.</param>
public sealed record EditOpening(
    string Opening,
    OpeningKind Kind,
    Length From,
    Length Width,
    End Hinge,
    bool SwingsIn,
    Length? Sill,
    Length? Head = null
) : JobCommand("edit opening")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (job.Openings.FirstOrDefault(o => o.Id == Opening) is not { } opening)
            return CommandResult.Refuse(PlanEdit.Gone("opening"));
        var shape = new RoomShape(job.RoomById(opening.Room)!);
        var (to, from) = (opening.To, From);
        if (From == opening.From && Width != opening.Width)
        {
            // A new width alone grows about the middle, and slides along where a corner or the room behind is in the way.
            var most = shape.Walls[opening.Wall].Length - Width;
            from = Length.Max(Length.Zero, Length.Min(opening.From + ((opening.Width - Width) / 2), most));
            (from, to) = Beyond.Of(job, shape, opening.Wall, from, Width);
        }
        else if (From + Width <= shape.Walls[opening.Wall].Length)
        {
            (from, to) = Beyond.Of(job, shape, opening.Wall, From, Width);
            // What is typed stands as it is typed, or not at all.
            if (from != From)
                return CommandResult.Refuse(
                    $"There it would reach past the end of {job.RoomById(to)!.Name}, behind the wall. It leads there in its "
                        + $"whole width at {LengthText.Show(from, job.Units)}."
                );
        }

        return CommandResult.Checked(
            job with
            {
                Openings = job.Openings.Replace(
                    opening,
                    opening with
                    {
                        Kind = Kind,
                        From = from,
                        Width = Width,
                        Hinge = Hinge,
                        SwingsIn = SwingsIn,
                        Sill = Sill,
                        Head = Head,
                        To = to,
                    }
                ),
            }
        );
    }
}
