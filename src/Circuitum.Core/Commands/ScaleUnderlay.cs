using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Commands;

/// <summary>
/// Scales the picture under a storey by two of its points and the length between them; the first point stays where it is.
/// </summary>
/// <param name="Storey">The storey.</param>
/// <param name="First">A point of the picture.</param>
/// <param name="Second">Another one.</param>
/// <param name="Length">The true length from one to the other.</param>
public sealed record ScaleUnderlay(string Storey, Point First, Point Second, Length Length) : JobCommand("scale picture")
{
    // More than this no two pictures of a house differ.
    private const double MostFactor = 1000;

    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        var (east, south) = ((Second.X - First.X).InInches, (Second.Y - First.Y).InInches);
        var drawn = Math.Sqrt((east * east) + (south * south));
        if (drawn < 1)
            return CommandResult.Refuse("Scale: the two points are too close together.");
        var factor = Length.InInches / drawn;
        if (factor is < 1 / MostFactor or > MostFactor)
            return CommandResult.Refuse("Scale: that length and those two points do not go together.");
        return UnderlayEdit.Change(job, Storey, u =>
            u with
            {
                At = new(Scaled(First.X, u.At.X, factor), Scaled(First.Y, u.At.Y, factor)),
                Width = Length.Inches(u.Width.InInches * factor),
                Height = Length.Inches(u.Height.InInches * factor),
            }
        );
    }

    private static Length Scaled(Length from, Length at, double factor) =>
        Length.Inches(from.InInches + ((at.InInches - from.InInches) * factor));
}
