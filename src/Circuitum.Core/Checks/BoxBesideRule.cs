using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Codes;
using Circuitum.Core.Commands;

namespace Circuitum.Core.Checks;

/// <summary>Behind an appliance that is built in nobody gets at the plug.</summary>
internal sealed class BoxBesideRule : CheckedRule
{
    internal override string Id => "box.beside";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        foreach (var appliance in a.Job.Appliances)
        {
            var (facts, room) = (ApplianceFacts.Of(a.Job, appliance), a.House[appliance.Room]);
            if (
                facts is { Hardwired: false, Type.OutletBeside: true }
                && a.Job.Decisions.Boxes.FirstOrDefault(b => b.Appliance == appliance.Id) is { Wall: { } wall } outlet
                && appliance.Spot.Wall == wall
                && outlet.Along > appliance.Spot.From
                && outlet.Along < appliance.Spot.From + appliance.Spot.Width
            )
                yield return Breach(
                    a,
                    $"{room.Room.Name}: the receptacle of {facts.Name} is behind it; it belongs in the space beside it.",
                    Subject.Box(outlet.Id)
                ) with
                {
                    Fix = new("Move it beside", new MoveBox(outlet.Id, wall, ApplianceOutlets.BesideOf(a.Job, room, appliance), null)),
                };
        }
    }
}
