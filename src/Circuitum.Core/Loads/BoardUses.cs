using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Loads;

/// <summary>What boxes of a house with split boards hang on.</summary>
public static class BoardUses
{
    /// <summary>The use of a box's circuit.</summary>
    /// <param name="job">The job.</param>
    /// <param name="box">The box.</param>
    public static BoardUse Of(Job job, Box box) =>
        box.Kind switch
        {
            BoxKind.Receptacle or BoxKind.Provision => BoardUse.Sockets,
            BoxKind.Light => job.RoomById(box.Room)!.Kind == RoomKind.Outdoors ? BoardUse.GardenLighting : BoardUse.Lighting,
            BoxKind.Switch => OfSwitch(job, box),
            BoxKind.Appliance when job.ApplianceById(box.Appliance) is { } x => ApplianceFacts.Of(job, x).BoardUse,
            _ => BoardUse.Lighting,
        };

    /// <summary>The use of a circuit as it stands: that of the most demanding of its boxes.</summary>
    /// <param name="job">The job.</param>
    /// <param name="boxes">Its boxes.</param>
    public static BoardUse OfCircuit(Job job, IEnumerable<Box> boxes) =>
        boxes.Where(b => b.Serves is null).Select(b => Of(job, b)).DefaultIfEmpty(BoardUse.Lighting).Max();

    /// <summary>What it counts towards the points of a ring or a radial: a twin as the edition says, all else one.</summary>
    /// <param name="edition">The edition.</param>
    /// <param name="box">The box.</param>
    public static int Points(CodeEdition edition, Box box) =>
        box.Kind switch
        {
            BoxKind.Receptacle => box.Style switch
            {
                ReceptacleStyle.Single => 1,
                ReceptacleStyle.Quad => 2 * edition.Number("twinCounts").Whole,
                _ => edition.Number("twinCounts").Whole,
            },
            BoxKind.Provision or BoxKind.Appliance => 1,
            _ => 0,
        };

    // A switch is where its lights are; one that works lights indoors and out is with those indoors.
    private static BoardUse OfSwitch(Job job, Box box)
    {
        var lights = box.Gangs.SelectMany(g => g.Lights).ToHashSet();
        var outside = job.Decisions.Boxes.Where(b => lights.Contains(b.Id)).ToList();
        return outside.Count > 0 && outside.TrueForAll(b => Of(job, b) == BoardUse.GardenLighting)
            ? BoardUse.GardenLighting
            : BoardUse.Lighting;
    }
}
