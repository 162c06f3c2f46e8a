using System.Collections.Immutable;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Loads;
using Circuitum.Core.Routing;

namespace Circuitum.Core.Circuits;

/// <summary>How long the planner looks.</summary>
public enum PlanEffort
{
    /// <summary>A good plan at once.</summary>
    First,

    /// <summary>The best that its rounds find.</summary>
    Full,
}

/// <summary>Divides boxes into branch circuits.</summary>
public interface ICircuitPlanner
{
    /// <summary>The job's circuits with every loose box assigned. What a person assigned or locked stays.</summary>
    ImmutableArray<Circuit> Plan(HouseShape house, CodeEdition edition);
}

/// <summary>The door to circuit planning.</summary>
public static class CircuitPlanning
{
    /// <summary>Fills what is undecided; what stands is moved only where that saves more than it costs to move it.</summary>
    public static Job Fill(Job job, ICircuitPlanner? planner = null)
    {
        var house = HouseShape.Of(job);
        var circuits = (planner ?? new SearchCircuitPlanner(PlanEffort.First)).Plan(house, CodeLibrary.EditionOf(job));

        // A circuit that lost its last box is gone, and its breaker with it.
        var left = circuits.Select(c => c.Number).ToHashSet();
        return job with { Decisions = (job.Decisions with { Circuits = circuits, Spaces = [.. job.Decisions.Spaces.Where(s => left.Contains(s.Circuit))] }).WithoutLostPairs() };
    }

    /// <summary>Takes back the planner's own assignments and plans afresh; a person's circuits, assignments and locks stay.</summary>
    public static Job Afresh(Job job, ICircuitPlanner? planner = null)
    {
        var kept = job.Decisions.Circuits
            .Select(c => c.Locked ? c : c with { Boxes = [.. c.Boxes.Where(b => b.By == Maker.Person)] })
            .Where(c => c.Boxes.Length > 0 || c.By == Maker.Person).ToImmutableArray();
        var numbers = kept.Select(c => c.Number).ToHashSet();
        return Fill(job with { Decisions = job.Decisions with { Circuits = kept, Spaces = [.. job.Decisions.Spaces.Where(s => numbers.Contains(s.Circuit))], Pairs = [.. job.Decisions.Pairs.Where(p => p.By == Maker.Person)] } }, planner ?? new SearchCircuitPlanner(PlanEffort.Full));
    }

    /// <summary>The breaker rating that the preferences give a general circuit.</summary>
    public static int GeneralRating(Preferences preferences, CircuitPurpose purpose) => (preferences.GeneralWire, purpose) switch
    {
        (GeneralWire.FourteenThroughout, CircuitPurpose.Lighting or CircuitPurpose.Receptacles or CircuitPurpose.Mixed) => 15,
        (GeneralWire.TwelveForReceptacles, CircuitPurpose.Lighting) => 15,
        _ => 20,
    };
}

/// <summary>
/// Required circuits first, then one for each appliance that wants its own, then general lights and receptacles by search.
/// Deterministic, and stable: what stands is moved only where it pays.
/// </summary>
/// <param name="effort">How long it looks.</param>
public sealed class SearchCircuitPlanner(PlanEffort effort) : ICircuitPlanner
{
    // With something standing, few rounds are enough: the rest of the house shall not be reshuffled.
    private const int RoundsWhenStanding = 300;

    /// <inheritdoc/>
    public ImmutableArray<Circuit> Plan(HouseShape house, CodeEdition edition)
    {
        var work = new CircuitDraft(house, edition);
        work.Appliances();
        work.SmallAppliance();
        work.Simple(CircuitPurpose.Laundry, work.Loose(CircuitPurpose.Laundry), int.MaxValue);
        work.Bathrooms();
        work.Simple(CircuitPurpose.Garage, work.Loose(CircuitPurpose.Garage), 10);
        work.Simple(CircuitPurpose.Outdoor, work.Loose(CircuitPurpose.Outdoor), 8);
        var runs = new Runs(house);
        foreach (var groups in GeneralGroups.Of(work, runs).ToList())
        {
            var problem = groups.Problem;
            if (problem.Count == 0) continue;
            var search = new GroupSearch(problem);
            var plan = search.First();
            var standing = problem.Standing.Any(s => s >= 0);
            if (effort == PlanEffort.Full) plan = search.Improve(plan, standing ? RoundsWhenStanding : GroupSearch.Rounds(problem.Count));
            groups.Take(plan);
        }

        GeneralGroups.Alarms(work);
        return work.Result();
    }
}

/// <summary>Circuits while they are being filled.</summary>
internal sealed class CircuitDraft
{
    private readonly List<(Circuit Circuit, List<CircuitBox> Boxes)> circuits;
    private readonly HashSet<string> assigned;

    internal CircuitDraft(HouseShape house, CodeEdition edition)
    {
        House = house;
        Edition = edition;
        circuits = [.. house.Job.Decisions.Circuits.Select(c => (c, c.Boxes.ToList()))];
        assigned = [.. circuits.SelectMany(c => c.Boxes).Select(b => b.Box)];
    }

    internal HouseShape House { get; }

    internal CodeEdition Edition { get; }

    internal Job Job => House.Job;

    internal ImmutableArray<Circuit> Result() => [.. circuits
        .Where(c => c.Boxes.Count > 0 || c.Circuit.By == Maker.Person)
        .Select(c => c.Circuit with { Boxes = [.. c.Boxes] }).OrderBy(c => c.Number)];

    internal List<Box> Loose(CircuitPurpose purpose) => [.. Job.Decisions.Boxes.Where(b => !assigned.Contains(b.Id) && BoxPurpose.Of(Job, Edition, b) == purpose)];

    internal List<int> Existing(CircuitPurpose purpose) => [.. circuits.Where(c => c.Circuit.Purpose == purpose).Select(c => c.Circuit.Number)];

    /// <summary>The circuits of a purpose that may take more: a person locked none of them.</summary>
    internal List<int> Free(CircuitPurpose purpose) => [.. Existing(purpose).Where(n => !Locked(n))];

    internal List<Box> On(int number) => [.. circuits.First(c => c.Circuit.Number == number).Boxes.Select(m => Job.Decisions.Boxes.First(b => b.Id == m.Box))];

    internal int New(CircuitPurpose purpose, IEnumerable<Box> boxes)
    {
        var taken = circuits.Select(c => c.Circuit.Number).ToHashSet();
        var number = 1;
        while (taken.Contains(number)) number++;
        circuits.Add((new Circuit { Number = number, Purpose = purpose, By = Maker.Planner }, []));
        foreach (var box in boxes) Put(number, box);
        return number;
    }

    /// <summary>The circuit that a box is on, who put it there and whether that circuit is locked; none when it is loose.</summary>
    internal (int Number, Maker By, bool Locked)? Member(string box)
    {
        if (!assigned.Contains(box)) return null;
        var (circuit, boxes) = circuits.First(c => c.Boxes.Any(b => b.Box == box));
        return (circuit.Number, boxes.First(b => b.Box == box).By, circuit.Locked);
    }

    internal bool Locked(int number) => circuits.First(c => c.Circuit.Number == number).Circuit.Locked;

    /// <summary>Puts a box on a circuit, or moves one that the planner put elsewhere.</summary>
    internal void Move(Box box, int number)
    {
        if (Member(box.Id) is { } member)
        {
            if (member.Number == number || member.By == Maker.Person || member.Locked) return;
            circuits.First(c => c.Circuit.Number == member.Number).Boxes.RemoveAll(b => b.Box == box.Id);
            assigned.Remove(box.Id);
        }

        Put(number, box);
    }

    internal void Put(int number, Box box)
    {
        if (!assigned.Add(box.Id)) return;
        circuits.First(c => c.Circuit.Number == number).Boxes.Add(new CircuitBox { Box = box.Id, By = Maker.Planner });
    }

    /// <summary>All boxes on one circuit of the purpose, more circuits when there are too many or their loads do not fit.</summary>
    internal void Simple(CircuitPurpose purpose, List<Box> boxes, int most)
    {
        foreach (var box in boxes)
        {
            var room = Free(purpose).Where(n => On(n) is var there && there.Count < most && Fits(20, [.. there, box])).ToList();
            if (room.Count > 0) Put(room[0], box);
            else New(purpose, [box]);
        }
    }

    internal void Appliances()
    {
        var loose = Loose(CircuitPurpose.Appliance).Select(b => (Box: b, Facts: ApplianceFacts.Of(Job.ApplianceById(b.Appliance)!)))
            .OrderByDescending(a => a.Facts.Volts).ThenByDescending(a => a.Facts.Load).ThenBy(a => a.Box.Id, StringComparer.Ordinal).ToList();
        foreach (var (box, facts) in loose)
        {
            var partner = facts.Type.Id == "disposer" && Job.Preferences.DishwasherSharesWithDisposer
                ? circuits.Where(c => c.Circuit.Purpose == CircuitPurpose.Appliance && c.Boxes.Count == 1).Select(c => c.Circuit.Number)
                    .FirstOrDefault(n => On(n)[0] is { Appliance: { } id } other && other.Room == box.Room && Job.ApplianceById(id)!.Type == "dishwasher" && Fits(20, [other, box]))
                : 0;
            if (partner > 0) Put(partner, box);
            else New(CircuitPurpose.Appliance, [box]);
        }
    }

    internal bool Fits(int breaker, IReadOnlyList<Box> boxes) => !LoadLimits.Check(Edition, breaker, 120, [.. boxes.Select(b => BoxLoad.Of(Job, b))]).Any();

    // No small-appliance circuit serves two kitchens (210.52(B)(3)): each kitchen has its own, and the dining rooms and
    // pantries around it.
    internal void SmallAppliance()
    {
        var kitchens = Job.Rooms.Where(r => r.Kind == RoomKind.Kitchen).ToList();
        foreach (var area in Loose(CircuitPurpose.SmallAppliance).GroupBy(b => KitchenOf(b.Room, kitchens)).ToList())
        {
            var there = Free(CircuitPurpose.SmallAppliance).Where(n => On(n).All(b => KitchenOf(b.Room, kitchens) == area.Key)).ToList();
            SmallAppliance([.. area], there);
        }
    }

    // The counters go on two circuits, each a stretch of counter; dining and pantry walls join the one with fewer.
    private void SmallAppliance(List<Box> loose, List<int> there)
    {
        var counter = loose.Where(b => b.Kind == BoxKind.Receptacle && b.Height >= Measure.Length.Inches(36)).OrderBy(b => b.Room, StringComparer.Ordinal).ThenBy(b => b.Wall).ThenBy(b => b.Along).ToList();
        var rest = loose.Except(counter).ToList();
        while (there.Count < 2) there.Add(New(CircuitPurpose.SmallAppliance, []));
        var fresh = there.All(n => On(n).Count == 0);
        var half = (counter.Count + 1) / 2;
        for (var i = 0; i < counter.Count; i++) Put(fresh ? there[i < half ? 0 : 1] : there.MinBy(n => Counters(n)), counter[i]);
        if (fresh && rest.Count >= 5) there.Add(New(CircuitPurpose.SmallAppliance, []));
        foreach (var box in rest) Put(fresh && there.Count > 2 ? there[2] : there.MinBy(n => On(n).Count), box);
    }

    // One more counter receptacle goes where the fewest are, so that the counter always hangs on two circuits.
    private int Counters(int number) => On(number).Count(b => b.Kind == BoxKind.Receptacle && b.Height >= Measure.Length.Inches(36));

    // A room's kitchen is itself, or the nearest one, on its own storey if there is one.
    private string KitchenOf(string room, List<Room> kitchens)
    {
        if (kitchens.Count == 0) return "";
        var here = House[room];
        return kitchens.OrderBy(k => k.Id == room ? 0 : 1).ThenBy(k => k.Storey == here.Room.Storey ? 0 : 1).ThenBy(k => House[k.Id].Centre.InchesTo(here.Centre)).ThenBy(k => k.Id, StringComparer.Ordinal).First().Id;
    }

    // Heavy hair tools: no more than two bathrooms on a circuit, those of one storey together.
    internal void Bathrooms()
    {
        foreach (var room in Loose(CircuitPurpose.Bathroom).GroupBy(b => b.Room))
        {
            var storey = House[room.Key].Room.Storey;
            var join = Free(CircuitPurpose.Bathroom).FirstOrDefault(n => On(n).Select(b => b.Room).Append(room.Key).Distinct().Count() <= 2 && On(n).All(b => House[b.Room].Room.Storey == storey));
            if (join == 0) join = New(CircuitPurpose.Bathroom, []);
            foreach (var box in room) Put(join, box);
        }
    }
}
