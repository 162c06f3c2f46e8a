using Circuitum.Core.Jobs;

namespace Circuitum.Core.Circuits;

/// <summary>
/// General circuits of buildings apart from the house. One with a panel is divided like a small house; one without is fed by a
/// single circuit for its lights and receptacles, because a building has one supply (225.30).
/// </summary>
internal static class Outbuildings
{
    private const int MostLights = 14;

    internal static void Fill(CircuitDraft work)
    {
        CircuitPurpose[] general = [CircuitPurpose.Lighting, CircuitPurpose.Receptacles, CircuitPurpose.Mixed, CircuitPurpose.Outdoor];
        var loose = general.SelectMany(work.Loose).Where(b => b.Kind != BoxKind.SmokeAlarm && work.BuildingOf(b.Room).Length > 0).ToList();
        foreach (var building in loose.GroupBy(b => work.BuildingOf(b.Room)).OrderBy(g => g.Key, StringComparer.Ordinal))
        {
            var panel = work.Job.Panels.Any(p => work.BuildingOf(p.Room) == building.Key);
            var mixed = !panel || work.Job.Preferences.LightsAndReceptacles == LightsAndReceptacles.Mixed;

            // What has a panel keeps its outdoor receptacles on their own circuit, as the house does.
            var here = building.Where(b => !panel || BoxPurpose.Of(work.Job, work.Edition, b) != CircuitPurpose.Outdoor).ToList();
            foreach (var things in RoomClusters.Clusters(here).OrderByDescending(c => c.Any(b => b.Kind == BoxKind.Light)))
            {
                var purpose = mixed ? CircuitPurpose.Mixed : BoxPurpose.Of(work.Job, work.Edition, things[0]);
                var number = work.Free(purpose, building.Key).FirstOrDefault(n => HasRoom(work, purpose, [.. work.On(n), .. things]));
                if (number == 0)
                    work.New(purpose, things);
                else
                    foreach (var box in things)
                        work.Put(number, box);
            }
        }
    }

    private static bool HasRoom(CircuitDraft work, CircuitPurpose purpose, IReadOnlyList<Box> boxes)
    {
        var rating = CircuitPlanning.GeneralRating(work.Job.Preferences, purpose, work.Edition);
        return boxes.Count(b => b.Kind == BoxKind.Receptacle) <= GeneralGroups.MostReceptacles(work.Job.Preferences, work.Edition, rating)
            && boxes.Count(b => b.Kind == BoxKind.Light) <= MostLights
            && work.Fits(rating, boxes)
            && boxes.Sum(b => Loads.BoxLoad.Of(work.Job, b).Load.Value) <= rating * work.Edition.Supply.ToNeutral;
    }
}
