using Circuitum.Core.Edits;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Commands;

/// <summary>Changes what a box is; it is then a person's.</summary>
/// <param name="Box">The box.</param>
/// <param name="Change">What changes.</param>
public sealed record EditBox(string Box, BoxChange Change) : JobCommand("edit box")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (BoxEdit.Find(job, Box) is not { } box)
            return CommandResult.Refuse(BoxEdit.Gone);
        if (Change.Kind is { } kind && kind != box.Kind && (kind == BoxKind.Appliance || box.Kind == BoxKind.Appliance))
            return CommandResult.Refuse("The outlet of an appliance goes with the appliance; add or remove that.");
        if (Change.State == BoxState.Final && box.Held is { } held)
            return CommandResult.Refuse(
                $"It waits for {held.WaitsFor}: it can be roughed in with slack, but not called final. Release it first."
            );
        var with = box with
        {
            Kind = Change.Kind ?? box.Kind,
            Style = Change.Style ?? box.Style,
            Fixture = Change.Fixture ?? box.Fixture,
            Height = Change.Height ?? box.Height,
            Size = Change.Size is { } size
                ? size.Length == 0
                    ? null
                    : size
                : box.Size,
            Rating = Change.Rating is { } rating
                ? rating == 0
                    ? null
                    : rating
                : box.Rating,
            Side = Change.Side is { } side
                ? Enum.TryParse<StudSide>(side, true, out var s)
                    ? s
                    : null
                : box.Side,
            VoltAmperes = Change.VoltAmperes is { } va
                ? va < 0
                    ? null
                    : va
                : box.VoltAmperes,
            CarbonMonoxide = Change.CarbonMonoxide ?? box.CarbonMonoxide,
            State = Change.State ?? box.State,
            By = Origin.Person,
        };
        if (with.Kind != BoxKind.Receptacle)
            with = with with { Style = null, Rating = with.Kind == BoxKind.Appliance ? with.Rating : null };
        if (with.Kind != BoxKind.Light)
            with = with with { Fixture = null };
        if (with.Kind != BoxKind.Switch)
            with = with with { Gangs = [] };
        if (with.Kind == BoxKind.Switch && with.Wall is null)
            return CommandResult.Refuse("A switch hangs on a wall.");

        // A box of other gangs or another use is another box.
        if (with.Size is not null && (with.Kind != box.Kind || with.Style != box.Style) && Change.Size is null)
            with = with with { Size = null };
        return BoxEdit.Replace(job, box, with);
    }
}
