using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.BoxLayout;

/// <summary>Proposes the outlet of each appliance, behind it at the height that is usual for it.</summary>
internal static class ApplianceOutlets
{
    internal static void Add(Draft draft)
    {
        foreach (var appliance in draft.Job.Appliances)
        {
            var shape = draft.House[appliance.Room];
            if (!draft.Rooms.Contains(shape) || draft.All.Any(b => b.Appliance == appliance.Id)) continue;
            var type = ApplianceFacts.Of(appliance).Type;
            var overhead = type.OutletHeightIn < 0;
            var height = overhead ? shape.Room.CeilingHeight : Length.Inches(type.OutletHeightIn);
            var box = new Box { Kind = BoxKind.Appliance, Room = appliance.Room, Appliance = appliance.Id, Height = height };
            draft.Add(!overhead && appliance.Spot.Wall is { } wall
                ? box with { Wall = wall, Along = Length.Min((appliance.Spot.From + (appliance.Spot.Width / 2)).RoundTo(Length.Inches(1)), shape.Walls[wall].Length) }
                : box with { At = Places.Of(shape, appliance.Spot, overhead ? Math.Max(12, appliance.Spot.Depth.InInches / 2) : 0) });
        }
    }
}
