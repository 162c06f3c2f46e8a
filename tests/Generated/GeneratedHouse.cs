using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Planning;
using Circuitum.Core.Review;

namespace Circuitum.Generated;

/// <summary>
/// Made-up houses with everything that circuits are divided by, each from a number, and the hard rules told apart from the program's own
/// checks.
/// </summary>
internal static class GeneratedHouse
{
    /// <summary>
    /// A house of one or two storeys with doors, counters, fixtures, appliances, a panel, and preferences and edition drawn at random.
    /// </summary>
    internal static Job Make(int seed)
    {
        var random = new Random(seed);
        var storeys = random.Next(3) == 0 ? 2 : 1;
        var (columns, rows) = (random.Next(2, 6), random.Next(2, 4));
        double[] wide = [.. Enumerable.Range(0, columns).Select(_ => random.Next(8, 18) + 0.0)],
            deep = [.. Enumerable.Range(0, rows).Select(_ => random.Next(8, 16) + 0.0)];
        RoomKind[] kinds =
        [
            RoomKind.Living,
            RoomKind.Bedroom,
            RoomKind.Kitchen,
            RoomKind.Hallway,
            RoomKind.Bathroom,
            RoomKind.Office,
            RoomKind.Laundry,
            RoomKind.Dining,
            RoomKind.Garage,
            RoomKind.Utility,
            RoomKind.Bedroom,
            RoomKind.Porch,
        ];
        var (rooms, openings, fixtures, counters, appliances) = (
            new List<Room>(),
            new List<Opening>(),
            new List<Fixture>(),
            new List<Counter>(),
            new List<Appliance>()
        );
        for (var s = 0; s < storeys; s++)
        {
            for (var j = 0; j < rows; j++)
            {
                for (var i = 0; i < columns; i++)
                {
                    var kind = kinds[random.Next(kinds.Length)];
                    if (s > 0 && kind is RoomKind.Garage or RoomKind.Porch)
                        kind = RoomKind.Bedroom;
                    var (x, y, id) = (wide.Take(i).Sum() + (i * 0.375), deep.Take(j).Sum() + (j * 0.375), $"s{s}r{i}-{j}");
                    rooms.Add(Rect(id, kind, x, y, wide[i], deep[j], $"s{s}"));
                    if (i > 0)
                        openings.Add(Door($"d{openings.Count}", $"s{s}r{i - 1}-{j}", 1, random.NextDouble() * (deep[j] - 3), id));
                    if (j > 0)
                        openings.Add(Door($"d{openings.Count}", $"s{s}r{i}-{j - 1}", 2, random.NextDouble() * (wide[i] - 3), id));
                    Furnish(kind, id, wide[i]);
                }
            }
        }

        openings.Add(Door($"d{openings.Count}", "s0r0-0", 0, 1, Opening.Outside));
        var inside = rooms.Where(r => r.Storey == "s0" && r.Kind is not (RoomKind.Bathroom or RoomKind.Porch)).ToList();
        return new Job
        {
            Name = $"House {seed}",
            CodeEdition = CodeLibrary.EditionIds[random.Next(3)],
            Storeys =
            [
                .. Enumerable
                    .Range(0, storeys)
                    .Select(s => new Storey
                    {
                        Id = $"s{s}",
                        Name = $"Storey {s}",
                        Floor = Length.Feet(9 * s),
                    }),
            ],
            Rooms = [.. rooms],
            Openings = [.. openings],
            Fixtures = [.. fixtures],
            Counters = [.. counters],
            Appliances = [.. appliances],
            Preferences = Wishes(random),
            Panels =
            [
                new Panel
                {
                    Id = "main",
                    Name = "Main panel",
                    Room = (inside.Count > 0 ? inside : rooms)[0].Id,
                    Wall = 3,
                    Along = Length.Feet(4),
                    Spaces = 60,
                    MainBreaker = 400,
                    BreakerFamily = "A",
                },
            ],
        };

        void Furnish(RoomKind kind, string id, double width)
        {
            void Add(string type, double at) =>
                appliances.Add(
                    new Appliance
                    {
                        Id = $"a{appliances.Count}",
                        Type = type,
                        Room = id,
                        Spot = new Spot
                        {
                            Wall = 0,
                            From = Length.Feet(Math.Min(at, width - 2.5)),
                            Width = Length.Feet(2),
                            Depth = Length.Feet(2),
                        },
                        Nameplate = new Nameplate { Confirmed = true },
                    }
                );
            switch (kind)
            {
                case RoomKind.Kitchen:
                    counters.Add(
                        new Counter
                        {
                            Id = $"c{counters.Count}",
                            Room = id,
                            Spot = new Spot
                            {
                                Wall = 0,
                                From = Length.Feet(0.5),
                                Width = Length.Feet(width - 1),
                                Depth = Length.Inches(25),
                            },
                        }
                    );
                    fixtures.Add(
                        new Fixture
                        {
                            Id = $"f{fixtures.Count}",
                            Kind = FixtureKind.Sink,
                            Room = id,
                            Spot = new Spot
                            {
                                Wall = 0,
                                From = Length.Feet(3),
                                Width = Length.Inches(33),
                                Depth = Length.Inches(22),
                            },
                        }
                    );
                    foreach (
                        var type in new[] { "range", "dishwasher", "disposer", "refrigerator", "microwave" }.Where(_ => random.Next(3) > 0)
                    )
                        Add(type, random.NextDouble() * width);
                    break;
                case RoomKind.Bathroom:
                    fixtures.Add(
                        new Fixture
                        {
                            Id = $"f{fixtures.Count}",
                            Kind = FixtureKind.Basin,
                            Room = id,
                            Spot = new Spot
                            {
                                Wall = 0,
                                From = Length.Feet(2),
                                Width = Length.Inches(24),
                                Depth = Length.Inches(20),
                            },
                        }
                    );
                    if (random.Next(2) == 0)
                        Add("bath-heater", 5);
                    break;
                case RoomKind.Laundry:
                    Add("washer", 0.5);
                    Add(random.Next(2) == 0 ? "dryer" : "gas-dryer", 3);
                    break;
                case RoomKind.Garage:
                    foreach (
                        var type in new[] { "garage-door", "freezer", "ev-charger", "water-heater", "bench-machine" }.Where(_ =>
                            random.Next(2) == 0
                        )
                    )
                        Add(type, random.NextDouble() * width);
                    break;
                case RoomKind.Utility:
                    foreach (var type in new[] { "furnace", "sump-pump", "water-heater", "air-handler" }.Where(_ => random.Next(2) == 0))
                        Add(type, random.NextDouble() * width);
                    break;
            }
        }
    }

    /// <summary>The same house with a workshop apart from it, and two times in three a panel of its own there.</summary>
    internal static Job MakeWithShed(int seed)
    {
        var (job, random) = (Make(seed), new Random((seed * 31) + 7));
        var east = job.Rooms.Max(r => r.Outline.Max(p => p.X)).InFeet + random.Next(6, 40);
        var (wide, deep) = (random.Next(10, 26), random.Next(10, 20));
        Appliance Machine(int n, string type) =>
            new()
            {
                Id = $"shop{n}",
                Type = type,
                Room = "shop",
                Spot = new Spot
                {
                    Wall = 0,
                    From = Length.Feet(Math.Min(1 + (n * 2.5), wide - 2.5)),
                    Width = Length.Feet(2),
                    Depth = Length.Feet(2),
                },
                Nameplate = new Nameplate { Confirmed = true },
            };
        string[] types = ["bench-machine", "air-compressor", "freezer", "mini-split", "baseboard", "refrigerator", "central-vac"];
        return job with
        {
            Rooms = job.Rooms.Add(Rect("shop", RoomKind.AccessoryBuilding, east, 0, wide, deep, "s0")),
            Openings = job.Openings.Add(Door("shopdoor", "shop", 2, 2, Opening.Outside)),
            Appliances =
            [
                .. job.Appliances,
                .. Enumerable.Range(0, random.Next(0, 5)).Select(n => Machine(n, types[random.Next(types.Length)])),
            ],
            Panels =
                random.Next(3) == 0
                    ? job.Panels
                    : job.Panels.Add(
                        new Panel
                        {
                            Id = "shop",
                            Name = "Workshop panel",
                            Room = "shop",
                            Wall = 3,
                            Along = Length.Feet(4),
                            Spaces = 20,
                            MainBreaker = 125,
                            BreakerFamily = "A",
                            FedFrom = "main",
                        }
                    ),
        };
    }

    private static Preferences Wishes(Random random)
    {
        var p = new Preferences();
        foreach (var field in PreferenceFields.All.Where(f => f.Options.Length > 0 && f.Key != "terminationC" && random.Next(3) == 0))
            p = field.Write(p, field.Options[random.Next(field.Options.Length)].Value).Preferences!;
        return p with { ReceptaclesPer15 = random.Next(6, 12), ReceptaclesPer20 = random.Next(6, 15), RoomsPerCircuit = random.Next(1, 5) };
    }

    private static Room Rect(string id, RoomKind kind, double x, double y, double w, double d, string storey) =>
        new()
        {
            Id = id,
            Name = id,
            Kind = kind,
            Storey = storey,
            Outline =
            [
                new(Length.Feet(x), Length.Feet(y)),
                new(Length.Feet(x + w), Length.Feet(y)),
                new(Length.Feet(x + w), Length.Feet(y + d)),
                new(Length.Feet(x), Length.Feet(y + d)),
            ],
        };

    private static Opening Door(string id, string room, int wall, double from, string to) =>
        new()
        {
            Id = id,
            Room = room,
            Wall = wall,
            From = Length.Feet(Math.Round(from * 4) / 4),
            Width = Length.Feet(2.5),
            To = to,
        };

    /// <summary>The hard rules of dividing into circuits, written down here once more: what a planned house breaks of them.</summary>
    internal static IEnumerable<string> Broken(JobAnalysis a, bool byHand = false)
    {
        var job = a.Job;
        var on = job.Decisions.Circuits.SelectMany(c => c.Boxes.Select(b => (b.Box, Circuit: c))).ToLookup(x => x.Box, x => x.Circuit);
        foreach (var box in job.Decisions.Boxes.Where(b => b.Serves is null && on[b.Id].Count() != 1))
            yield return $"{box.Id} is on {on[box.Id].Count()} circuits";
        foreach (var c in a.Circuits.Where(c => c.Boxes.Length > 0))
        {
            var receptacles = c.Boxes.Where(b => b.Kind == BoxKind.Receptacle).ToList();
            var kinds = receptacles.Select(job.KindAt).ToHashSet();
            bool Only(params RoomKind[] allowed) => kinds.All(allowed.Contains);
            if (kinds.Contains(RoomKind.Bathroom) && !Only(RoomKind.Bathroom))
                yield return $"circuit {c.Number} mixes bathrooms with others";
            if (kinds.Contains(RoomKind.Laundry) && !Only(RoomKind.Laundry))
                yield return $"circuit {c.Number} mixes the laundry with others";
            if (
                (kinds.Contains(RoomKind.Kitchen) || kinds.Contains(RoomKind.Dining))
                && !Only(RoomKind.Kitchen, RoomKind.Dining, RoomKind.Pantry)
            )
                yield return $"circuit {c.Number} mixes kitchen and dining walls with others";
            if (kinds.Contains(RoomKind.Garage) && !Only(RoomKind.Garage, RoomKind.Porch, RoomKind.Deck, RoomKind.Outdoors))
                yield return $"circuit {c.Number} mixes the garage with others";
            if (
                kinds.Overlaps([RoomKind.Bathroom, RoomKind.Laundry, RoomKind.Kitchen, RoomKind.Dining])
                && c.Boxes.Any(b => b.Kind == BoxKind.Light)
            )
                yield return $"circuit {c.Number} has lights on a required circuit";
            if (c.Wire is not { } wire)
                yield return $"circuit {c.Number} has no wire";
            else
            {
                var hvac = c.Boxes.Any(b =>
                    job.ApplianceById(b.Appliance) is { } x && ApplianceFacts.Of(x).MinimumCircuitAmpacity is not null
                );
                var most = wire.Size switch
                {
                    "14" => 15,
                    "12" => 20,
                    "10" => 30,
                    _ => 999,
                };
                if (!hvac && wire.Breaker > most)
                    yield return $"circuit {c.Number}: {wire.Size} AWG on {wire.Breaker} A";
                if (c.Circuit.Purpose is CircuitPurpose.Lighting or CircuitPurpose.Receptacles or CircuitPurpose.Mixed)
                {
                    var va = c.Boxes.Sum(b =>
                        b.Kind switch
                        {
                            BoxKind.Receptacle or BoxKind.Provision => 180,
                            BoxKind.Light => 60,
                            BoxKind.SmokeAlarm => 5,
                            BoxKind.Appliance => ApplianceFacts.Of(job.ApplianceById(b.Appliance)!).Load.Value,
                            _ => 0,
                        }
                    );
                    if (va > wire.Breaker * 120)
                        yield return $"circuit {c.Number} carries {va} VA on {wire.Breaker} A";
                    var limit = wire.Breaker == 15 ? job.Preferences.ReceptaclesPer15 : job.Preferences.ReceptaclesPer20;
                    if (c.Circuit.Purpose != CircuitPurpose.Lighting && receptacles.Count > limit)
                        yield return $"circuit {c.Number} has {receptacles.Count} receptacles of {limit}";
                }
            }

            foreach (var box in c.Boxes)
            {
                if (job.ApplianceById(box.Appliance) is { } x && x.Type is "furnace" or "air-handler" or "ev-charger" && c.Boxes.Length > 1)
                    yield return $"{x.Type} shares circuit {c.Number}";
                if (c.Load.Volts == 240 && job.ApplianceById(box.Appliance) is null)
                    yield return $"{box.Id} hangs on the 240 V circuit {c.Number}";
                foreach (var kind in c.Needs[box.Id].Select(n => n.Kind).Distinct())
                {
                    if (
                        !c.Protection.Devices.Any(d =>
                            d.Covers.Contains(box.Id) && (kind == Core.Protection.ProtectionKind.ArcFault ? d.ArcFault : d.GroundFault)
                        )
                    )
                        yield return $"{box.Id} on circuit {c.Number} is without {kind}";
                }
            }
        }

        foreach (var kitchen in job.Rooms.Where(r => r.Kind == RoomKind.Kitchen))
        {
            var counters = job
                .Decisions.Boxes.Where(b =>
                    b.Room == kitchen.Id && b.Kind == BoxKind.Receptacle && b.Wall is not null && b.Height >= Length.Inches(36)
                )
                .ToList();
            if (counters.Count > 1 && counters.SelectMany(b => on[b.Id]).Distinct().Count() < 2)
                yield return $"the counters of {kitchen.Id} are on one circuit";
        }

        foreach (var pair in job.Decisions.Pairs)
        {
            var (one, other) = (a.CircuitByNumber(pair.First)!, a.CircuitByNumber(pair.Second)!);
            if (one.Load.Volts != 120 || other.Load.Volts != 120 || one.Wire!.Size != other.Wire!.Size)
                yield return $"circuits {pair.First} and {pair.Second} cannot share a cable";
            var spaces = job.Decisions.Spaces.Where(s => pair.Has(s.Circuit)).Select(s => s.Space).ToList();
            if (pair.Kind == PairKind.SharedNeutral && (spaces.Count != 2 || Math.Abs(spaces[0] - spaces[1]) != 2))
                yield return $"the breakers of circuits {pair.First} and {pair.Second} cannot open together";
        }

        foreach (
            var f in a.Findings.Where(f =>
                f.Severity == Severity.Must
                && (
                    f.RuleId.StartsWith("circuit.", StringComparison.Ordinal)
                    || f.RuleId.StartsWith("wire.", StringComparison.Ordinal)
                    || f.RuleId.StartsWith("protect.", StringComparison.Ordinal)
                )
                && f.RuleId != "circuit.generalCount"
                && !(byHand && f.RuleId == "circuit.switched")
            )
        )
            yield return f.Sentence;
    }

    /// <summary>
    /// Plans a house, then again with a person's hand in it, and says what was broken: the rules, or what the person decided.
    /// </summary>
    internal static IEnumerable<string> Try(int seed)
    {
        var job = MakeWithShed(seed);
        foreach (var p in Core.Intake.JobRules.Check(job))
            yield return $"made wrong: {p}";
        var planned = Planner.PlanAll(job, seed % 10 == 0 ? Core.Circuits.PlanEffort.Full : Core.Circuits.PlanEffort.First);
        foreach (var b in Broken(Analyzer.Analyze(planned)).Concat(TryByHand(planned, seed)))
            yield return b;
    }

    /// <summary>Plans a planned house again with a person's hand in it, and says what was broken.</summary>
    internal static IEnumerable<string> TryByHand(Job planned, int seed)
    {
        var random = new Random(seed + 1);
        var general = planned
            .Decisions.Circuits.Where(c => c.Purpose is CircuitPurpose.Receptacles or CircuitPurpose.Lighting or CircuitPurpose.Mixed)
            .ToList();
        if (general.Count < 2)
            yield break;

        // One circuit locked, one box held by a person on a circuit of its own; then all is planned anew.
        var locked = general[random.Next(general.Count)];
        var free = general.First(c => c.Number != locked.Number);
        var box = free.Boxes[random.Next(free.Boxes.Length)].Box;
        var held = new Core.Commands.AssignBox(box, null)
            .Apply(new Core.Commands.LockCircuit(locked.Number, true).Apply(planned).Job!)
            .Job!;
        var own = held.Decisions.Circuits.Single(c => c.Holds(box)).Number;
        var again = Planner.PlanAfresh(held, new Core.Circuits.SearchCircuitPlanner(Core.Circuits.PlanEffort.First));
        if (
            !again
                .Decisions.Circuits.Single(c => c.Number == locked.Number)
                .Boxes.Select(b => b.Box)
                .ToHashSet()
                .SetEquals(locked.Boxes.Select(b => b.Box))
        )
            yield return $"the lock of circuit {locked.Number} was broken";
        if (again.Decisions.Circuits.Single(c => c.Holds(box)).Number != own)
            yield return $"{box} was taken from where a person put it";

        // A light that a person takes from its switch is found, and stays where the person put it.
        foreach (var b in Broken(Analyzer.Analyze(again), byHand: true))
            yield return $"planned again: {b}";
    }
}
