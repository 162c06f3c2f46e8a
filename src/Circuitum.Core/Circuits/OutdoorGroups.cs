using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Routing;

namespace Circuitum.Core.Circuits;

/// <summary>
/// Receptacles outside. Those that are near each other hang on a circuit of their own; one far from them is fed from the nearest
/// suitable circuit inside, with its own device, so that no cable is led around the house and its reset is where one stands. By
/// preference all of them hang on one circuit.
/// </summary>
internal static class OutdoorGroups
{
    private const int MostOnOne = 8;

    private static readonly Length LongestHop = Length.Feet(40);

    /// <summary>Puts the largest group on its circuit, and gives back what is fed from inside.</summary>
    internal static List<List<Box>> Near(CircuitDraft work, CableRouter runs)
    {
        var loose = work.Loose(CircuitPurpose.Outdoor).Where(b => work.BuildingOf(b.Room).Length == 0).ToList();
        var apart = work.Loose(CircuitPurpose.Outdoor).Except(loose).ToList();
        work.Simple(CircuitPurpose.Outdoor, apart, MostOnOne);
        var alone = work.Edition.InForce("circuit.outdoor");
        if (work.Job.Preferences.Division.Outdoor == OutdoorCircuit.One || alone || loose.Count == 0)
        {
            work.Simple(CircuitPurpose.Outdoor, loose, MostOnOne);
            return [];
        }

        // What hangs on an outdoor circuit already draws its neighbours there.
        var standing = work.Free(CircuitPurpose.Outdoor).SelectMany(work.On).ToList();
        var groups = Groups([.. standing, .. loose], runs);
        var first = groups
            .OrderByDescending(g => g.Count(standing.Contains))
            .ThenByDescending(g => g.Count)
            .ThenBy(g => g[0].Id, StringComparer.Ordinal)
            .First();
        work.Simple(CircuitPurpose.Outdoor, [.. first.Except(standing)], MostOnOne);
        return [.. groups.Where(g => g != first).Select(g => g.Except(standing).ToList()).Where(g => g.Count > 0)];
    }

    /// <summary>Feeds groups from the nearest circuit inside that has room for them, or gives them their own.</summary>
    internal static void FromInside(CircuitDraft work, CableRouter runs, List<List<Box>> groups)
    {
        CircuitPurpose[] suitable = [CircuitPurpose.Garage, CircuitPurpose.Receptacles, CircuitPurpose.Mixed];
        foreach (var group in groups)
        {
            bool OneStorey(int number) => work.On(number).Concat(group).Select(b => work.House[b.Room].Room.Storey).Distinct().Count() == 1;
            Length Way(int number) =>
                work.On(number)
                    .Where(b => b.Kind == BoxKind.Receptacle)
                    .SelectMany(b => group.Select(g => runs.Between(b.Id, g.Id)))
                    .DefaultIfEmpty(new Length(long.MaxValue))
                    .Min();
            var near = suitable
                .SelectMany(p => work.Free(p))
                .Where(n => HasRoom(work, n, group) && OneStorey(n))
                .Select(n => (Number: n, Way: Way(n)))
                .OrderBy(n => n.Way)
                .ThenBy(n => n.Number)
                .FirstOrDefault();
            if (near.Number > 0 && near.Way <= LongestHop)
                foreach (var box in group)
                    work.Put(near.Number, box);
            else
                work.New(CircuitPurpose.Outdoor, group);
        }
    }

    private static bool HasRoom(CircuitDraft work, int number, List<Box> group)
    {
        var rating = CircuitPlanning.GeneralRating(work.Job.Preferences, CircuitPurpose.Receptacles, work.Edition);
        List<Box> all = [.. work.On(number), .. group];
        var most = GeneralGroups.MostReceptacles(work.Job.Preferences, work.Edition, rating);
        return all.Count(b => b.Kind == BoxKind.Receptacle) <= most
            && work.Fits(rating, all)
            && all.Sum(b => Loads.BoxLoad.Of(work.Job, b).Load.Value) <= rating * work.Edition.Supply.ToNeutral;
    }

    // Boxes that a chain of segments joins, none of them longer than one would pull.
    private static List<List<Box>> Groups(List<Box> boxes, CableRouter runs)
    {
        var groups = new List<List<Box>>();
        foreach (var box in boxes.OrderBy(b => b.Id, StringComparer.Ordinal))
        {
            var near = groups.Where(g => g.Any(o => runs.Between(o.Id, box.Id) <= LongestHop)).ToList();
            groups.RemoveAll(near.Contains);
            groups.Add([.. near.SelectMany(g => g), box]);
        }

        return groups;
    }
}
