using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Tests;

// Houses that break one rule each.
public partial class CheckTests
{
    public static TheoryData<string, Func<Job, Job>> Bends =>
        new()
        {
            { "box.wall", j => j.Without(b => b.Room == "bedroom" && b.Kind == BoxKind.Receptacle) },
            { "box.wall", j => j.Without(b => b.Room == "bedroom" && b.Kind == BoxKind.Receptacle && b.Wall == 0) },
            { "box.counter", j => j.Without(b => b.Room == "kitchen" && b.Kind == BoxKind.Receptacle && b.Height > Length.Feet(3)) },
            { "box.counter", j => j.Raise("kitchen", Length.Inches(70)) },
            {
                "box.island",
                j =>
                    j with
                    {
                        Counters = j.Counters.Add(
                            new Counter
                            {
                                Id = "island",
                                Room = "kitchen",
                                Spot = new Spot
                                {
                                    At = Sample.P(4, 5),
                                    Width = Length.Feet(4),
                                    Depth = Length.Feet(2),
                                },
                            }
                        ),
                    }
            },
            { "box.bathroom", j => j.Without(b => b.Room == "bath" && b.Kind == BoxKind.Receptacle) },
            { "box.bathroom", j => j.Slide("bath", 3, Length.Feet(8)) },
            { "box.hallway", j => j.Without(b => b.Room == "hall" && b.Kind == BoxKind.Receptacle) },
            { "box.garage", j => j.Without(b => b.Room == "garage" && b.Kind == BoxKind.Receptacle) },
            { "box.garage", j => j.Raise("garage", Length.Inches(72)) },
            { "box.laundry", j => j.Without(b => b.Room == "laundry" && b.Kind is BoxKind.Receptacle || b.Appliance == "washer") },
            { "box.outdoor", j => j.Without(b => b.Room == "porch" && b.Kind == BoxKind.Receptacle) },
            { "box.light", j => j.Without(b => b.Room == "bedroom" && b.Kind == BoxKind.Light) },
            { "box.light", j => j.Without(b => b.Room == "bedroom" && b.Kind == BoxKind.Switch) },
            { "box.alarm", j => j.Without(b => b.Room == "bedroom" && b.Kind == BoxKind.SmokeAlarm) },
            { "box.alarm", j => j.Without(b => b.Room == "hall" && b.Kind == BoxKind.SmokeAlarm) },
            { "box.alarm", j => j.Without(b => b.Kind == BoxKind.SmokeAlarm) },
            { "box.appliance", j => j.Without(b => b.Appliance == "range") },
            { "box.appliance", j => j.Change(b => b.Appliance == "dryer", b => b with { Wall = 1, Along = Length.Feet(3) }) },
            {
                "box.tub",
                j =>
                    j with
                    {
                        Fixtures = j.Fixtures.Add(
                            new Fixture
                            {
                                Id = "tub",
                                Kind = FixtureKind.Tub,
                                Room = "bath",
                                Spot = new Spot
                                {
                                    Wall = 1,
                                    From = Length.Inches(16),
                                    Width = Length.Inches(30),
                                    Depth = Length.Feet(5),
                                },
                            }
                        ),
                    }
            },
            {
                "box.hvac",
                j =>
                    j with
                    {
                        Rooms = j.Rooms.Add(Sample.Rect("far", RoomKind.Deck, 80, 0, 8, 8)),
                        Appliances = j.Appliances.Add(
                            new Appliance
                            {
                                Id = "hp",
                                Type = "heat-pump",
                                Room = "far",
                                Spot = new Spot
                                {
                                    Wall = 0,
                                    From = Length.Feet(2),
                                    Width = Length.Feet(2),
                                    Depth = Length.Feet(2),
                                },
                            }
                        ),
                    }
            },
            { "box.closer", j => j with { Preferences = j.Preferences with { ReceptacleReach = Length.Feet(3) } } },
            {
                "box.closer",
                j => j with { Rooms = [.. j.Rooms.Select(r => r.Id == "bedroom" ? r with { ReceptacleReach = Length.Feet(4) } : r)] }
            },
            { "box.basement", j => j with { Rooms = j.Rooms.Add(Sample.Rect("cellar", RoomKind.UnfinishedBasement, 60, 0, 12, 12)) } },
            { "box.accessory", j => j with { Rooms = j.Rooms.Add(Sample.Rect("shed", RoomKind.AccessoryBuilding, 60, 0, 12, 12)) } },
            { "box.door", j => j.Slide("bedroom", 3, Length.Feet(6)) },
            { "box.fan", j => j.Change(b => b.Room == "bedroom" && b.Kind == BoxKind.Light, b => b with { Size = "nm-round-20" }) },
            { "box.closet", j => j.WithCloset(Sample.P(66, 1.5), LightStyle.Surface) },
            { "box.closet", j => j.WithCloset(Sample.P(61.4, 2), LightStyle.Recessed) },
            {
                "box.wet",
                j =>
                    j.Change(b => b.Room == "bath" && b.Kind == BoxKind.Light, b => b with { Fixture = LightStyle.Pendant }) with
                    {
                        Fixtures = j.Fixtures.Add(
                            new Fixture
                            {
                                Id = "tub",
                                Kind = FixtureKind.Tub,
                                Room = "bath",
                                Spot = new Spot
                                {
                                    Wall = 1,
                                    From = Length.Inches(10),
                                    Width = Length.Inches(30),
                                    Depth = Length.Feet(5),
                                },
                            }
                        ),
                    }
            },
            {
                "box.wet",
                j =>
                    j.Change(b => b.Room == "bath" && b.Kind == BoxKind.Switch, b => b with { Wall = 1, Along = Length.Inches(20) }) with
                    {
                        Fixtures = j.Fixtures.Add(
                            new Fixture
                            {
                                Id = "tub",
                                Kind = FixtureKind.Tub,
                                Room = "bath",
                                Spot = new Spot
                                {
                                    Wall = 1,
                                    From = Length.Inches(10),
                                    Width = Length.Inches(30),
                                    Depth = Length.Feet(5),
                                },
                            }
                        ),
                    }
            },
            { "box.outsideDoor", j => j with { Openings = j.Openings.Add(Sample.Door("bedroom", 1, 2)) } },
            {
                "box.equipmentLight",
                j =>
                    j with
                    {
                        Rooms = j.Rooms.Add(Sample.Rect("attic", RoomKind.Attic, 60, 0, 12, 12)),
                        Appliances = j.Appliances.Add(
                            new Appliance
                            {
                                Id = "up",
                                Type = "air-handler",
                                Room = "attic",
                                Spot = new Spot
                                {
                                    At = Sample.P(62, 4),
                                    Width = Length.Feet(2),
                                    Depth = Length.Feet(2),
                                },
                            }
                        ),
                    }
            },
            { "box.alarm", j => j.Change(b => b.Room == "hall" && b.Kind == BoxKind.SmokeAlarm, b => b with { CarbonMonoxide = false }) },
            {
                "box.alarmPlace",
                j => j.Change(b => b.Room == "hall" && b.Kind == BoxKind.SmokeAlarm, b => b with { At = Sample.P(15.5, 5.25) })
            },
            { "box.rating", j => j.Change(b => b.Room == "bedroom" && b.Kind == BoxKind.Receptacle, b => b with { Rating = 30 }) },
            {
                "box.held",
                j =>
                    j.Change(
                        b => b.Room == "bath" && b.Kind == BoxKind.Light,
                        b =>
                            b with
                            {
                                Held = new HeldFor { WaitsFor = "mirror height", Ask = "owner" },
                            }
                    )
            },
            { "box.switchReach", j => j with { Preferences = j.Preferences with { SwitchReach = Length.Feet(2) } } },
            { "box.switchReach", j => j.Without(b => b.Kind == BoxKind.Switch && b.Room == "hall" && b.Wall == 2) },
            { "box.volume", j => j.Change(b => b.Appliance == "range", b => b with { Size = "nm-2g-32" }) },
            { "circuit.unassigned", j => j with { Decisions = j.Decisions with { Circuits = j.Decisions.Circuits.RemoveAt(0) } } },
            { "circuit.smallAppliance", j => j.Circuits(c => c.Purpose == CircuitPurpose.SmallAppliance, c => c with { Breaker = 15 }) },
            { "circuit.smallAppliance", j => j.Move("bedroom", CircuitPurpose.SmallAppliance) },
            { "circuit.apart", j => j.Move("bedroom", CircuitPurpose.Lighting) },
            { "circuit.laundry", j => j.Circuits(c => c.Purpose == CircuitPurpose.Laundry, c => c with { Breaker = 15 }) },
            { "circuit.laundry", j => j.Move("bedroom", CircuitPurpose.Laundry) },
            { "circuit.bathroom", j => j.Circuits(c => c.Purpose == CircuitPurpose.Bathroom, c => c with { Breaker = 15 }) },
            { "circuit.garage", j => j.Circuits(c => c.Purpose == CircuitPurpose.Garage, c => c with { Breaker = 15 }) },
            { "circuit.garage", j => j.Move("bedroom", CircuitPurpose.Garage) },
            { "circuit.individual", j => j.Share("furnace", "bedroom") },
            { "circuit.generalCount", j => j with { Rooms = j.Rooms.Add(Sample.Rect("barn", RoomKind.Utility, 100, 0, 90, 60)) } },
            { "circuit.half", j => j.Share("fan", "bedroom", 1500) },
            { "circuit.plugIn", j => j.Plate("refrigerator", 2000) },
            { "circuit.count", j => j with { Preferences = j.Preferences with { ReceptaclesPer20 = 1, ReceptaclesPer15 = 1 } } },
            { "circuit.dark", j => j.Gather("bedroom") },
            {
                "wire.range",
                j =>
                    j.Circuits(
                        c => c.Boxes.Any(b => j.Decisions.Boxes.Any(x => x.Id == b.Box && x.Appliance == "range")),
                        c => c with { Breaker = 35 }
                    )
            },
            { "wire.drop", j => j.Far("bedroom") },
            { "panel.spaces", j => j with { Panels = [j.Panels[0] with { Spaces = 8 }] } },
            { "panel.spaces", j => j with { Panels = [] } },
            { "panel.spare", j => j with { Preferences = j.Preferences with { SparePercent = 80 } } },
            { "panel.legs", j => j.AllOnOneLeg() },
            { "plan.overlap", j => j with { Rooms = j.Rooms.Add(Sample.Rect("twin", RoomKind.Den, 2, 2, 5, 5)) } },
            { "plan.pieces", j => j.Twin("refrigerator") },
            { "service.meter", j => j.Meter() },
            { "plan.gap", j => j with { Rooms = j.Rooms.Add(Sample.Rect("near", RoomKind.Den, 29.85, 9.375, 10, 12)) } },
            { "plan.door", j => j with { Openings = j.Openings.RemoveAll(o => o.To == "bedroom") } },
            {
                "plan.swing",
                j => j with { Openings = [.. j.Openings.Select(o => o.To is "laundry" or "bedroom" ? o with { SwingsIn = true } : o)] }
            },
            {
                "panel.space",
                j =>
                    j with
                    {
                        Fixtures = j.Fixtures.Add(
                            new Fixture
                            {
                                Id = "shelf",
                                Kind = FixtureKind.Cabinet,
                                Room = "garage",
                                Spot = new Spot
                                {
                                    Wall = 3,
                                    From = Length.Feet(8),
                                    Width = Length.Feet(3),
                                    Depth = Length.Feet(2),
                                },
                            }
                        ),
                    }
            },
            {
                "panel.space",
                j =>
                    j with
                    {
                        Panels = [j.Panels[0] with { Room = "porch", Wall = 0, Along = Length.Feet(1) }],
                        Rooms = [.. j.Rooms.Select(r => r.Id == "porch" ? Sample.Rect("porch", RoomKind.Porch, 12.375, 22.5, 4, 2.5) : r)],
                    }
            },
            { "panel.place", j => j with { Panels = [j.Panels[0] with { Room = "bath", Along = Length.Feet(3) }] } },
            { "panel.handle", j => j with { Panels = [j.Panels[0] with { Top = Length.Inches(90) }] } },
            { "panel.family", j => j with { Panels = [j.Panels[0] with { BreakerFamily = "" }] } },
            { "panel.label", j => j.Circuits(c => c.Number <= 2, c => c with { Label = "Plugs" }) },
            { "service.size", j => j with { Panels = [j.Panels[0] with { MainBreaker = 60 }] } },
            {
                "appliance.assumed",
                j => j with { Appliances = [.. j.Appliances.Select(a => a with { Nameplate = a.Nameplate with { Confirmed = false } })] }
            },
        };

    [Theory]
    [MemberData(nameof(Bends))]
    public void A_bent_house_is_told(string rule, Func<Job, Job> bend)
    {
        Silent.ShouldNotContain(rule, "the house before the bend");
        var found = Analyzer.Analyze(bend(Planned)).Findings.Where(f => f.RuleId == rule).ToList();
        found.ShouldNotBeEmpty();
        foreach (var f in found)
        {
            f.Sentence.ShouldEndWith(".");
            f.Citation.ShouldNotBeEmpty();
            f.Severity.ShouldBe(Enum.Parse<Severity>(Codes.CodeLibrary.Edition("us-2023").Rule(rule).Severity, true));
        }
    }
}
