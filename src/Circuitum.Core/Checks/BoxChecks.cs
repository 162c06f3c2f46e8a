using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Checks;

/// <summary>210.52(A): reach along wall spaces.</summary>
internal sealed class WallReceptacles : ICheck
{
    public IEnumerable<Finding> Find(JobAnalysis a)
    {
        foreach (var shape in a.House.Rooms.Where(r => a.Edition.Traits(r.Room.Kind).WallSpaces))
        {
            foreach (var space in WallSpaces.Of(shape, a.Job, Length.Inches(a.Edition.Number("wallSpaceLeastIn"))))
            {
                if (Spaces.TooFar(a, shape, space, "wallReachIn", false) is { } far)
                    yield return CheckList.Make(a, "box.wall", $"{shape.Room.Name}: a wall space of {LengthText.Show(space.Length)} has {far}; the limit is 6'-0\".", $"room:{shape.Room.Id}");
            }
        }
    }
}

/// <summary>210.52(C): reach along counters, and provisions at islands.</summary>
internal sealed class CounterReceptacles : ICheck
{
    public IEnumerable<Finding> Find(JobAnalysis a)
    {
        foreach (var shape in a.House.Rooms)
        {
            foreach (var space in WallSpaces.Counters(shape, a.Job, Length.Inches(a.Edition.Number("counterLeastIn"))))
            {
                if (Spaces.TooFar(a, shape, space, "counterReachIn", true) is { } far)
                    yield return CheckList.Make(a, "box.counter", $"{shape.Room.Name}: a counter space of {LengthText.Show(space.Length)} has {far}; the limit is 24\".", $"room:{shape.Room.Id}");
            }

            foreach (var island in a.Job.Counters.Where(c => c.Room == shape.Room.Id && c.Spot.Wall is null))
            {
                if (!a.Job.Decisions.Boxes.Any(b => b.Room == shape.Room.Id && b.Wall is null && b.Kind is (BoxKind.Provision or BoxKind.Receptacle) && Places.InchesTo(shape, island.Spot, Places.Of(a.House, b)) < 1))
                    yield return CheckList.Make(a, "box.island", $"{shape.Room.Name}: the island has neither a receptacle nor a provision for one.", $"room:{shape.Room.Id}");
            }
        }
    }
}

internal static class Spaces
{
    internal static string? TooFar(JobAnalysis a, RoomShape shape, WallSpace space, string number, bool counter)
    {
        var reach = Length.Inches(a.Edition.Number(number));
        var held = ReceptacleRules.Held(a.Job.Decisions.Boxes, shape, space, counter, Length.Inches(a.Edition.Number("requiredHeightMostIn"))).ToList();
        if (held.Count == 0) return "no receptacle";
        var far = Cover.Farthest(space.Length, held);
        return far > reach ? $"a point {LengthText.Show(far)} from a receptacle" : null;
    }
}

/// <summary>Receptacles of bathrooms, halls, foyers, garages, laundries, outdoors and at equipment.</summary>
internal sealed class RoomReceptacles : ICheck
{
    public IEnumerable<Finding> Find(JobAnalysis a)
    {
        foreach (var shape in a.House.Rooms)
        {
            var own = a.Job.Decisions.Boxes.Where(b => b.Kind == BoxKind.Receptacle && b.Room == shape.Room.Id).ToList();
            var name = shape.Room.Name;
            var subject = $"room:{shape.Room.Id}";
            switch (shape.Room.Kind)
            {
                case RoomKind.Bathroom:
                    foreach (var basin in a.Job.Fixtures.Where(f => f.Room == shape.Room.Id && f.Kind == FixtureKind.Basin))
                    {
                        if (!own.Any(b => Places.InchesTo(shape, basin.Spot, Places.Of(a.House, b)) <= a.Edition.Number("basinReachIn")))
                            yield return CheckList.Make(a, "box.bathroom", $"{name}: no receptacle within 3 ft of a basin.", subject);
                    }

                    break;
                case RoomKind.Hallway when Length.Max(shape.MaxX - shape.MinX, shape.MaxY - shape.MinY) >= Length.Inches(a.Edition.Number("hallwayLeastIn")) && own.Count == 0:
                    yield return CheckList.Make(a, "box.hallway", $"{name} is 10 ft or longer and has no receptacle.", subject);
                    break;
                case RoomKind.Garage when own.Count(b => b.Height <= Length.Inches(a.Edition.Number("requiredHeightMostIn"))) < ReceptacleRules.Bays(shape):
                    yield return CheckList.Make(a, "box.garage", $"{name} has {own.Count} receptacles for {ReceptacleRules.Bays(shape)} vehicle bays.", subject);
                    break;
                case RoomKind.Laundry when own.Count == 0 && !a.Job.Decisions.Boxes.Any(b => b.Room == shape.Room.Id && a.Job.ApplianceById(b.Appliance) is { Type: "washer" }):
                    yield return CheckList.Make(a, "box.laundry", $"{name} has no receptacle.", subject);
                    break;
                case RoomKind.Porch or RoomKind.Deck when own.Count == 0 && shape.Openings.Any(o => o.IsDoorway):
                    yield return CheckList.Make(a, "box.outdoor", $"{name} is entered from inside and has no receptacle.", subject);
                    break;
                case RoomKind.Foyer when shape.AreaSqFt > a.Edition.Number("foyerAreaSqFt"):
                    foreach (var space in WallSpaces.Of(shape, a.Job, Length.Inches(a.Edition.Number("foyerWallLeastIn"))))
                    {
                        if (Spaces.TooFar(a, shape, space, "wallReachIn", false) == "no receptacle") yield return CheckList.Make(a, "box.foyer", $"{name}: a wall space of {LengthText.Show(space.Length)} has no receptacle.", subject);
                    }

                    break;
            }
        }

        foreach (var finding in FrontAndBack(a)) yield return finding;
        foreach (var appliance in a.Job.Appliances.Where(x => ApplianceFacts.Of(x).Type.Hvac))
        {
            var shape = a.House[appliance.Room];
            var at = Places.Of(shape, appliance.Spot);
            if (!a.Job.Decisions.Boxes.Any(b => b.Kind == BoxKind.Receptacle && a.House[b.Room].Room.Storey == shape.Room.Storey && Places.Of(a.House, b).InchesTo(at) <= a.Edition.Number("hvacReceptacleReachIn")))
                yield return CheckList.Make(a, "box.hvac", $"{ApplianceFacts.Of(appliance).Name} has no receptacle within 25 ft on its level.", $"appliance:{appliance.Id}");
        }
    }

    private static IEnumerable<Finding> FrontAndBack(JobAnalysis a)
    {
        if (a.Job.Rooms.Length == 0) yield break;
        var outdoors = a.Job.Decisions.Boxes.Where(b => b.Kind == BoxKind.Receptacle && a.Edition.Traits(a.House[b.Room].Room.Kind).Outdoors).Select(b => Places.Of(a.House, b)).ToList();
        var inside = a.House.Rooms.Where(r => !a.Edition.Traits(r.Room.Kind).Outdoors).ToList();
        if (inside.Count == 0) yield break;
        var (x, y) = (Middle(inside.Min(r => r.MinX), inside.Max(r => r.MaxX)), Middle(inside.Min(r => r.MinY), inside.Max(r => r.MaxY)));
        var front = a.Job.Frame.Front;
        var ground = $"storey:{inside.Select(r => a.Job.StoreyById(r.Room.Storey)!).MinBy(s => s.Floor.Abs())!.Id}";
        bool InFront(Point p) => front switch { Side.South => p.Y > y, Side.North => p.Y < y, Side.East => p.X > x, _ => p.X < x };
        if (!outdoors.Any(InFront)) yield return CheckList.Make(a, "box.outdoor", "No outdoor receptacle at the front of the house. Draw the porch or the front outdoors as a room of kind porch or deck and propose its boxes.", ground);
        if (!outdoors.Any(p => !InFront(p))) yield return CheckList.Make(a, "box.outdoor", "No outdoor receptacle at the back of the house. Draw the deck or the back outdoors as a room of kind porch or deck and propose its boxes.", ground);
    }

    private static Length Middle(Length a, Length b) => (a + b) / 2;
}

/// <summary>406.9(C): receptacles clear of tubs and showers.</summary>
internal sealed class TubZone : ICheck
{
    public IEnumerable<Finding> Find(JobAnalysis a)
    {
        var (across, up) = (a.Edition.Number("tubZoneIn"), Length.Inches(a.Edition.Number("tubZoneUpIn")));
        foreach (var wet in a.Job.Fixtures.Where(f => f.Kind is FixtureKind.Tub or FixtureKind.Shower))
        {
            var shape = a.House[wet.Room];

            // In a bath that is smaller than the zone, the farthest wall is where a receptacle may still stand.
            var farthest = shape.Walls.Max(w => Places.InchesTo(shape, wet.Spot, w.A));
            foreach (var box in a.Job.Decisions.Boxes.Where(b => b.Room == wet.Room && b.Kind is (BoxKind.Receptacle or BoxKind.Provision) && b.Height <= up))
            {
                var inches = Places.InchesTo(shape, wet.Spot, Places.Of(a.House, box));
                if (inches >= across || (farthest < across && inches > farthest - 12)) continue;
                yield return CheckList.Make(a, "box.tub", $"{shape.Room.Name}: {box.Id} stands {LengthText.Show(Length.Inches(inches).RoundTo(Length.Inches(1)))} from the {wet.Kind.ToString().ToLowerInvariant()}; the zone reaches {LengthText.Show(Length.Inches(across))}.", $"box:{box.Id}");
            }
        }
    }
}

/// <summary>210.70: lights and their switches.</summary>
internal sealed class LightsAndSwitches : ICheck
{
    public IEnumerable<Finding> Find(JobAnalysis a)
    {
        var switched = a.Job.Decisions.Boxes.SelectMany(b => b.Gangs).SelectMany(g => g.Lights).ToHashSet();
        foreach (var shape in a.House.Rooms.Where(r => a.Edition.Traits(r.Room.Kind).Light))
        {
            // One light over the top of the stairs serves the flights below it.
            var rooms = shape.Room.Kind == RoomKind.Stairs ? a.House.Rooms.Where(r => r.Room.Kind == RoomKind.Stairs && r.Contains(shape.Centre)).Select(r => r.Room.Id).ToHashSet() : [shape.Room.Id];
            if (a.Edition.Traits(shape.Room.Kind).Outdoors && !shape.Openings.Any(o => o.IsDoorway)) continue;
            var lights = a.Job.Decisions.Boxes.Where(b => b.Kind == BoxKind.Light && rooms.Contains(b.Room)).ToList();
            if (lights.Count == 0) yield return CheckList.Make(a, "box.light", $"{shape.Room.Name} has no lighting outlet.", $"room:{shape.Room.Id}");
            else if (!lights.Any(l => switched.Contains(l.Id))) yield return CheckList.Make(a, "box.light", $"The light of {shape.Room.Name} has no wall switch.", $"box:{lights[0].Id}");
            else if (shape.Room.Kind == RoomKind.Stairs && rooms.Count > 1 && lights.All(l => a.Job.Decisions.Boxes.Count(b => b.Gangs.Any(g => g.Lights.Contains(l.Id))) < 2))
                yield return CheckList.Make(a, "box.stairs", $"The light of {shape.Room.Name} has a switch at one level only.", $"box:{lights[0].Id}");
        }
    }
}

/// <summary>R314: alarms in bedrooms, outside them and on each storey.</summary>
internal sealed class Alarms : ICheck
{
    public IEnumerable<Finding> Find(JobAnalysis a)
    {
        var alarms = a.Job.Decisions.Boxes.Where(b => b.Kind == BoxKind.SmokeAlarm).ToList();
        foreach (var room in a.House.Rooms.Where(r => r.Room.Kind == RoomKind.Bedroom && !alarms.Any(b => b.Room == r.Room.Id)))
            yield return CheckList.Make(a, "box.alarm", $"{room.Room.Name} has no smoke alarm.", $"room:{room.Room.Id}");
        foreach (var hall in AlarmRules.OutsideBedrooms(a.House).Where(h => !alarms.Any(b => b.Room == h.Room.Id)))
            yield return CheckList.Make(a, "box.alarm", $"No smoke alarm outside the bedrooms, in {hall.Room.Name}.", $"room:{hall.Room.Id}");
        foreach (var storey in a.Job.Storeys.Where(s => a.House.Rooms.Any(r => r.Room.Storey == s.Id && a.Edition.Traits(r.Room.Kind).FloorArea) && !alarms.Any(b => a.House[b.Room].Room.Storey == s.Id)))
            yield return CheckList.Make(a, "box.alarm", $"{storey.Name} has no smoke alarm.", $"storey:{storey.Id}");
    }
}

/// <summary>An outlet for each appliance.</summary>
internal sealed class ApplianceBoxes : ICheck
{
    public IEnumerable<Finding> Find(JobAnalysis a)
    {
        foreach (var appliance in a.Job.Appliances)
        {
            if (a.Job.Decisions.Boxes.FirstOrDefault(b => b.Appliance == appliance.Id) is not { } box)
                yield return CheckList.Make(a, "box.appliance", $"{ApplianceFacts.Of(appliance).Name} has no outlet.", $"appliance:{appliance.Id}");
            else if (box.Room == appliance.Room && Places.InchesTo(a.House[box.Room], appliance.Spot, Places.Of(a.House, box)) is > 72 and var inches)
                yield return CheckList.Make(a, "box.appliance", $"The outlet for {ApplianceFacts.Of(appliance).Name} is {inches / 12:0.0} ft away; the limit is 6 ft.", $"box:{box.Id}");
        }
    }
}
