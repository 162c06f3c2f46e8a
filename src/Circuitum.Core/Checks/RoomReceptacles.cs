using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Checks;

/// <summary>Receptacles of bathrooms, halls, foyers, garages, laundries, basements and accessory buildings.</summary>
internal sealed class RoomReceptacles : ICheck
{
    public ImmutableArray<string> Rules =>
        ["box.accessory", "box.basement", "box.bathroom", "box.foyer", "box.garage", "box.hallway", "box.laundry", "box.outdoor"];

    public IEnumerable<Finding> Find(JobAnalysis a)
    {
        var most = Length.Inches(a.Edition.Number("requiredHeightMostIn"));
        foreach (var shape in a.House.Rooms)
        {
            var own = a.Job.Decisions.Boxes.Where(b => b.Kind == BoxKind.Receptacle && b.Room == shape.Room.Id && !b.Outside).ToList();
            var name = shape.Room.Name;
            Finding Make(string rule, string words) =>
                CheckList.Make(a, rule, words, Subject.Room(shape.Room.Id)) with
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
                case RoomKind.Garage when own.Count(b => b.Height <= most) is var low && low < RoomReceptacleRules.Bays(shape):
                    yield return Make(
                        "box.garage",
                        $"{name} has {low} receptacles up to {LengthText.Show(most)} for {RoomReceptacleRules.Bays(shape)} vehicle bays."
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
                        if (!ReceptacleSpots.Held(a.Job.Decisions.Boxes, a.Job, a.Edition, shape, space, false).Any())
                            yield return Make("box.foyer", $"{name}: a wall space of {LengthText.Show(space.Length)} has no receptacle.");
                    }

                    break;
            }
        }
    }
}
