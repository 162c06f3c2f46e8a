using Circuitum.Core.BoxLayout;
using Circuitum.Core.Codes;
using Circuitum.Core.Edits;
using Circuitum.Core.Entry;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Planning;

namespace Circuitum.Core.Commands;

/// <summary>
/// Another appliance in the place of one: a cooktop for a range. Its outlet is proposed anew, and where the house is planned it gets its
/// circuit; nothing else is planned again.
/// </summary>
/// <param name="Appliance">The appliance.</param>
/// <param name="Type">What it becomes.</param>
public sealed record ExchangeAppliance(string Appliance, string Type) : JobCommand("exchange an appliance")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (job.ApplianceById(Appliance) is not { } was)
            return CommandResult.Refuse("That appliance is not there any more.");
        if (!CodeLibrary.Appliances.TryGetValue(Type, out var type) || Type == was.Type)
            return CommandResult.Refuse("Choose another appliance.");
        var now = was with { Type = Type, Name = "", Nameplate = new(), Spot = Place(job, was, type) };
        var bare = job with { Appliances = job.Appliances.Replace(was, now) };
        var left = job.Decisions.Boxes.Where(b => b.Appliance == Appliance || b.Serves == Appliance).Select(b => b.Id).ToHashSet();
        bare = bare with
        {
            Decisions = BoxProposal.DropLost(
                bare.Decisions with
                {
                    Boxes = bare.Decisions.Boxes.RemoveAll(b => left.Contains(b.Id)),
                    Refused = bare.Decisions.Refused.RemoveAll(r => r.Appliance == Appliance),
                }
            ),
        };
        var result = CommandResult.Checked(bare);
        if (result.Job is not { } exchanged || left.Count == 0)
            return result;
        var proposed = BoxProposal.Propose(exchanged, now.Room);
        return CommandResult.Checked(job.Decisions.Circuits.Length > 0 ? Planner.PlanCircuits(proposed) : proposed);
    }

    // About its middle, as broad and deep as such things are, within its wall.
    private static Spot Place(Job job, Appliance was, ApplianceType type)
    {
        var room = new RoomShape(job.RoomById(was.Room)!);
        var (wide, deep) = ThingSizes.Of(type);
        if (was.Spot.Wall is not { } wall || type.Overhead)
            return Furnishing.Hung(room, type, Places.Of(room, was.Spot, was.Spot.Wall is null ? 0 : was.Spot.Depth.InInches / 2));
        wide = Length.Min(wide, room.Walls[wall].Length);
        var from = was.Spot.From + ((was.Spot.Width - wide) / 2);
        return was.Spot with
        {
            From = Length.Max(Length.Zero, Length.Min(from, room.Walls[wall].Length - wide)),
            Width = wide,
            Depth = deep,
        };
    }
}
