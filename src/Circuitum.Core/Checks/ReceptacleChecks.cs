using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Checks;

/// <summary>The edits that clear findings about boxes.</summary>
internal static class BoxFixes
{
    internal static FindingFix Propose(RoomShape room) =>
        new($"Propose the boxes of {room.Room.Name}", "propose-boxes", [("room", room.Room.Id)]);

    internal static FindingFix AddReceptacle(RoomShape room, int wall, Length along) =>
        new(
            "Add a receptacle there",
            "add-box",
            [("kind", nameof(BoxKind.Receptacle)), ("room", room.Room.Id), ("wall", $"{wall}"), ("along", LengthText.Print(along))]
        );

    internal static FindingFix MoveTo(string title, string box, Point at) =>
        new(title, "move-box", [("box", box), ("x", Inches(at.X)), ("y", Inches(at.Y))]);

    internal static FindingFix Set(string title, string box, string field, string value) =>
        new(title, "set-box", [("box", box), ("field", field), ("value", value)]);

    private static string Inches(Length length) => length.InInches.ToString("0.##", System.Globalization.CultureInfo.InvariantCulture);
}

/// <summary>210.52(A): reach along wall spaces, and the closer reach that a job or a room asks for.</summary>
internal sealed class WallReceptacles : ICheck
{
    public IEnumerable<Finding> Find(JobAnalysis a)
    {
        foreach (var shape in a.House.Rooms.Where(r => a.Edition.Traits(r.Room.Kind).WallSpaces || r.Room.ReceptacleReach is not null))
        {
            var code = Length.Inches(a.Edition.Number("wallReachIn"));
            var reach = ReceptacleRules.Reach(a.Job, a.Edition, shape.Room);
            foreach (var space in WallSpaces.Of(shape, a.Job, Length.Inches(a.Edition.Number("wallSpaceLeastIn"))))
            {
                if (Spaces.TooFar(a, shape, space, reach, false) is not { } far)
                    continue;
                var must = far.Inches > code && a.Edition.Traits(shape.Room.Kind).WallSpaces;
                yield return CheckList.Make(
                    a,
                    must ? "box.wall" : "box.closer",
                    $"{shape.Room.Name}: a wall space of {LengthText.Show(space.Length)} has {far.Words}; the limit is "
                        + $"{LengthText.Show(must ? code : reach)}.",
                    $"room:{shape.Room.Id}"
                ) with
                {
                    Fix = Spaces.Add(a, shape, space, must ? code : reach, false),
                };
            }
        }
    }
}

/// <summary>210.52(C): reach along counters.</summary>
internal sealed class CounterReceptacles : ICheck
{
    public IEnumerable<Finding> Find(JobAnalysis a)
    {
        var reach = Length.Inches(a.Edition.Number("counterReachIn"));
        foreach (var shape in a.House.Rooms)
        {
            foreach (var space in WallSpaces.Counters(shape, a.Job, Length.Inches(a.Edition.Number("counterLeastIn"))))
            {
                if (Spaces.TooFar(a, shape, space, reach, true) is { } far)
                    yield return CheckList.Make(
                        a,
                        "box.counter",
                        $"{shape.Room.Name}: a counter space of {LengthText.Show(space.Length)} has {far.Words}; the limit is "
                            + $"{LengthText.Show(reach)}.",
                        $"room:{shape.Room.Id}"
                    ) with
                    {
                        Fix = Spaces.Add(a, shape, space, reach, true),
                    };
            }

            foreach (var island in a.Job.Counters.Where(c => c.Room == shape.Room.Id && IslandRules.IsIsland(c)))
            {
                foreach (var finding in Island(a, shape, island))
                    yield return finding;
            }
        }
    }

    private static IEnumerable<Finding> Island(JobAnalysis a, RoomShape shape, Counter island)
    {
        var what = island.Peninsula ? "peninsula" : "island";
        var there = IslandRules.On(a.House, a.Job.Decisions.Boxes, shape, island).ToList();
        var receptacles = there.Where(b => b.Kind == BoxKind.Receptacle).ToList();
        var wanted = IslandRules.Wanted(a.Edition, island);
        Finding Make(string words) =>
            CheckList.Make(a, "box.island", $"{shape.Room.Name}: {words}.", $"room:{shape.Room.Id}", $"counter:{island.Id}") with
            {
                Fix = BoxFixes.Propose(shape),
            };
        if (a.Edition.Way("island") == "provision" && there.Count == 0)
            yield return Make($"the {what} has neither a receptacle nor a provision for one");
        if (receptacles.Count < wanted)
            yield return Make(
                $"the {what} of {island.Spot.Width.InFeet * island.Spot.Depth.InFeet:0.0} sq ft has {receptacles.Count} of "
                    + $"{wanted} receptacles"
            );
        if (
            island.Peninsula
            && wanted > 0
            && a.Edition.Way("island") == "area"
            && receptacles.Count > 0
            && receptacles.Min(b => IslandRules.FromOuterEnd(shape, island, Places.Of(a.House, b))) > a.Edition.Number("islandEndReachIn")
        )
            yield return Make($"no receptacle stands within {a.Edition.Say("islandEndReachIn")} of the peninsula's outer end");
        foreach (
            var low in receptacles.Where(b => b.Height < ReceptacleRules.CounterTop - Length.Inches(a.Edition.Number("islandBelowMostIn")))
        )
        {
            yield return CheckList.Make(
                a,
                "box.island",
                $"{shape.Room.Name}: {low.Id} stands {LengthText.Show(ReceptacleRules.CounterTop - low.Height)} below the {what}'s "
                    + "top; "
                    + (a.Edition.Number("islandBelowMostIn") > 0 ? $"{a.Edition.Number("islandBelowMostIn"):0}\" is the most" : "none may")
                    + ".",
                $"box:{low.Id}"
            ) with
            {
                Fix =
                    a.Edition.Number("islandBelowMostIn") > 0
                        ? BoxFixes.Set("Raise it", low.Id, "height", LengthText.Print(ReceptacleRules.CounterTop - Length.Inches(8)))
                        : BoxFixes.Set("Leave a provision instead", low.Id, "kind", nameof(BoxKind.Provision)),
            };
        }
    }
}

internal static class Spaces
{
    internal static (Length Inches, string Words)? TooFar(JobAnalysis a, RoomShape shape, WallSpace space, Length reach, bool counter)
    {
        var held = ReceptacleRules.Held(a.Job.Decisions.Boxes, a.Job, a.Edition, shape, space, counter).ToList();
        if (held.Count == 0)
            return (new Length(long.MaxValue / 4), "no receptacle");
        var far = Cover.Farthest(space.Length, held);
        return far > reach ? (far, $"a point {LengthText.Show(far)} from a receptacle") : null;
    }

    internal static FindingFix Add(JobAnalysis a, RoomShape shape, WallSpace space, Length reach, bool counter)
    {
        // One that is missing is added where it serves best; for more the room is proposed, as for a room without any.
        if (!a.Job.Decisions.Boxes.Any(b => b.Kind == BoxKind.Receptacle && b.Room == shape.Room.Id))
            return BoxFixes.Propose(shape);
        if (ReceptacleRules.Missing(a.Job, a.Edition, a.Job.Decisions.Boxes, shape, space, reach, counter) is not [var only])
            return BoxFixes.Propose(shape);
        var (wall, along) = shape.FromPerimeter(space.Start + only);
        return BoxFixes.AddReceptacle(shape, wall, along);
    }
}

/// <summary>Receptacles of bathrooms, halls, foyers, garages, laundries, basements and accessory buildings.</summary>
internal sealed class RoomReceptacles : ICheck
{
    public IEnumerable<Finding> Find(JobAnalysis a)
    {
        var most = Length.Inches(a.Edition.Number("requiredHeightMostIn"));
        foreach (var shape in a.House.Rooms)
        {
            var own = a.Job.Decisions.Boxes.Where(b => b.Kind == BoxKind.Receptacle && b.Room == shape.Room.Id && !b.Outside).ToList();
            var name = shape.Room.Name;
            Finding Make(string rule, string words) =>
                CheckList.Make(a, rule, words, $"room:{shape.Room.Id}") with
                {
                    Fix = BoxFixes.Propose(shape),
                };
            switch (shape.Room.Kind)
            {
                case RoomKind.Bathroom:
                    foreach (var basin in a.Job.Fixtures.Where(f => f.Room == shape.Room.Id && f.Kind == FixtureKind.Basin))
                    {
                        if (!own.Any(b => Places.InchesTo(shape, basin.Spot, Places.Of(a.House, b)) <= a.Edition.Number("basinReachIn")))
                            yield return Make("box.bathroom", $"{name}: no receptacle within {a.Edition.Say("basinReachIn")} of a basin.");
                    }

                    break;
                case RoomKind.Hallway
                    when Length.Max(shape.MaxX - shape.MinX, shape.MaxY - shape.MinY) >= Length.Inches(a.Edition.Number("hallwayLeastIn"))
                        && own.Count == 0:
                    yield return Make("box.hallway", $"{name} is {a.Edition.Say("hallwayLeastIn")} or longer and has no receptacle.");
                    break;
                case RoomKind.Garage when own.Count(b => b.Height <= most) is var low && low < ReceptacleRules.Bays(shape):
                    yield return Make(
                        "box.garage",
                        $"{name} has {low} receptacles up to {LengthText.Show(most)} for {ReceptacleRules.Bays(shape)} vehicle bays."
                    );
                    break;
                case RoomKind.Laundry
                    when own.Count == 0
                        && !a.Job.Decisions.Boxes.Any(b =>
                            b.Room == shape.Room.Id && a.Job.ApplianceById(b.Appliance) is { Type: "washer" }
                        ):
                    yield return Make("box.laundry", $"{name} has no receptacle.");
                    break;
                case RoomKind.UnfinishedBasement or RoomKind.Utility when own.Count == 0 && RoomUse.IsUnfinishedBasement(a.Job, shape.Room):
                    yield return Make("box.basement", $"{name} has no receptacle.");
                    break;
                case RoomKind.AccessoryBuilding when own.Count == 0:
                    yield return Make("box.accessory", $"{name} has no receptacle.");
                    break;
                case RoomKind.Porch or RoomKind.Deck when own.Count == 0 && shape.Openings.Any(o => o.IsDoorway):
                    yield return Make("box.outdoor", $"{name} is entered from inside and has no receptacle.");
                    break;
                case RoomKind.Foyer when shape.AreaSqFt > a.Edition.Number("foyerAreaSqFt"):
                    foreach (var space in WallSpaces.Of(shape, a.Job, Length.Inches(a.Edition.Number("foyerWallLeastIn"))))
                    {
                        if (!ReceptacleRules.Held(a.Job.Decisions.Boxes, a.Job, a.Edition, shape, space, false).Any())
                            yield return Make("box.foyer", $"{name}: a wall space of {LengthText.Show(space.Length)} has no receptacle.");
                    }

                    break;
            }
        }
    }
}

/// <summary>Receptacles at the front and the back of the house, and at heating and cooling equipment.</summary>
internal sealed class HouseReceptacles : ICheck
{
    public IEnumerable<Finding> Find(JobAnalysis a)
    {
        if (OutdoorRules.Ground(a.House) is { } ground)
        {
            foreach (var front in new[] { true, false })
            {
                if (!OutdoorRules.Served(a.House, a.Edition, a.Job.Decisions.Boxes, front))
                    yield return CheckList.Make(
                        a,
                        "box.outdoor",
                        $"No outdoor receptacle that is reached from grade at the {(front ? "front" : "back")} of the house.",
                        $"storey:{ground.Id}"
                    ) with
                    {
                        Fix = new("Propose the boxes of the house", "propose-boxes", []),
                    };
            }
        }

        foreach (var appliance in a.Job.Appliances.Where(x => ApplianceFacts.Of(x).Type.Hvac))
        {
            var shape = a.House[appliance.Room];
            var at = Places.Of(shape, appliance.Spot);
            if (
                !a.Job.Decisions.Boxes.Any(b =>
                    b.Kind == BoxKind.Receptacle
                    && a.House[b.Room].Room.Storey == shape.Room.Storey
                    && Places.Of(a.House, b).InchesTo(at) <= a.Edition.Number("hvacReceptacleReachIn")
                )
            )
                yield return CheckList.Make(
                    a,
                    "box.hvac",
                    $"{ApplianceFacts.Of(appliance).Name} has no receptacle within {a.Edition.Say("hvacReceptacleReachIn")} on its level.",
                    $"appliance:{appliance.Id}"
                ) with
                {
                    Fix = BoxFixes.Propose(shape),
                };
        }
    }
}

/// <summary>406.9(C), 404.4 and 410.10(D): what keeps clear of tubs and showers.</summary>
internal sealed class TubZone : ICheck
{
    public IEnumerable<Finding> Find(JobAnalysis a)
    {
        var (across, up) = (a.Edition.Number("tubZoneIn"), Length.Inches(a.Edition.Number("tubZoneUpIn")));
        foreach (var wet in a.Job.Fixtures.Where(f => f.Kind is FixtureKind.Tub or FixtureKind.Shower))
        {
            var shape = a.House[wet.Room];
            var what = wet.Kind.ToString().ToLowerInvariant();

            // In a bath that is smaller than the zone, the farthest wall is where a receptacle may still stand.
            var farthest = shape.Walls.Max(w => Places.InchesTo(shape, wet.Spot, w.A));
            foreach (var box in a.Job.Decisions.Boxes.Where(b => b.Room == wet.Room && !b.Outside && b.Height <= up))
            {
                var inches = Places.InchesTo(shape, wet.Spot, Places.Of(a.House, box));
                var far = LengthText.Show(Length.Inches(inches).RoundTo(Length.Inches(1)));
                if (
                    box.Kind is BoxKind.Receptacle or BoxKind.Provision
                    && ReceptacleRules.InTubZone(a.Edition, inches)
                    && !(farthest < across && inches > farthest - 12)
                )
                    yield return CheckList.Make(
                        a,
                        "box.tub",
                        $"{shape.Room.Name}: {box.Id} stands {far} from the {what}; "
                            + (
                                across > 0
                                    ? $"the zone reaches {LengthText.Show(Length.Inches(across))}"
                                    : "none may stand inside or over it"
                            )
                            + ".",
                        $"box:{box.Id}"
                    ) with
                    {
                        Fix = Aside(a, shape, wet, box),
                    };
                if (box.Kind == BoxKind.Switch && inches <= 0)
                    yield return CheckList.Make(
                        a,
                        "box.wet",
                        $"{shape.Room.Name}: the switch {box.Id} stands inside the space of the {what}.",
                        $"box:{box.Id}"
                    );
                if (box.Fixture is LightStyle.Pendant or LightStyle.Fan && inches < a.Edition.Number("hangingZoneIn"))
                    yield return CheckList.Make(
                        a,
                        "box.wet",
                        $"{shape.Room.Name}: {box.Id} hangs {far} from the {what}; no hanging light or fan within "
                            + $"{a.Edition.Say("hangingZoneIn")} across and {a.Edition.Say("tubZoneUpIn")} up.",
                        $"box:{box.Id}"
                    );
            }
        }
    }

    // Along its own wall to the nearest place out of the zone.
    private static FindingFix? Aside(JobAnalysis a, RoomShape shape, Fixture wet, Box box)
    {
        if (box.Wall is not { } wall)
            return null;
        for (var inches = 2; inches < 240; inches += 2)
        {
            foreach (var along in new[] { box.Along + Length.Inches(inches), box.Along - Length.Inches(inches) })
            {
                if (
                    along < Length.Inches(4)
                    || along > shape.Walls[wall].Length - Length.Inches(4)
                    || ReceptacleRules.InOpening(shape, wall, along, 3)
                )
                    continue;
                if (!ReceptacleRules.InTubZone(a.Edition, Places.InchesTo(shape, wet.Spot, shape.On(wall, along))))
                    return new(
                        "Move it out of the zone",
                        "move-box",
                        [("box", box.Id), ("wall", $"{wall}"), ("along", LengthText.Print(along.RoundTo(Length.Inches(1))))]
                    );
            }
        }

        return null;
    }
}
