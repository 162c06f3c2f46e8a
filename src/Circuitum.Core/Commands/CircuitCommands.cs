using System.Collections.Immutable;
using Circuitum.Core.Circuits;
using Circuitum.Core.Codes;
using Circuitum.Core.Intake;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Commands;

/// <summary>Puts boxes on another circuit, or on a new one: one that is dragged, a lassoed lot, a whole room.</summary>
/// <param name="Boxes">The boxes.</param>
/// <param name="Circuit">The circuit, or none for a new one.</param>
public sealed record AssignBoxes(ImmutableArray<string> Boxes, int? Circuit)
    : JobCommand(Boxes.Length == 1 ? "move to circuit" : $"move {Boxes.Length} boxes to circuit")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        var wanted = Boxes.Distinct().ToHashSet();
        if (wanted.Count == 0)
            return CommandResult.Refuse("Choose the boxes to move first.");
        if (job.Decisions.Boxes.Count(b => wanted.Contains(b.Id)) != wanted.Count)
            return CommandResult.Refuse("One of those boxes is not there any more.");
        if (Circuit is { } to && job.Decisions.Circuits.All(c => c.Number != to))
            return CommandResult.Refuse($"There is no circuit {to}.");
        if (
            job.Decisions.Circuits.FirstOrDefault(c => c.Locked && (c.Number == Circuit || c.Boxes.Any(b => wanted.Contains(b.Box)))) is
            { } locked
        )
            return CommandResult.Refuse($"Circuit {locked.Number} is locked. Unlock it first.");
        var (moved, _) = CircuitMoves.Move(job, wanted, Circuit);
        return CommandResult.Checked(Planner.Numbered(job, Planner.PlanSpaces(moved)));
    }
}

/// <summary>
/// Puts all of a room that suits a circuit on it: its receptacles on a receptacle circuit, its lights and switches on a lighting one.
/// </summary>
/// <param name="Room">The room.</param>
/// <param name="Circuit">The circuit, or none for a new one, which takes the room's receptacles.</param>
public sealed record AssignRoom(string Room, int? Circuit) : JobCommand("move room to circuit")
{
    /// <summary>The boxes of a room that a circuit would take.</summary>
    public static ImmutableArray<string> Boxes(Job job, string room, int? circuit)
    {
        var edition = CodeLibrary.EditionOf(job);
        var purpose = job.Decisions.Circuits.FirstOrDefault(c => c.Number == circuit)?.Purpose ?? CircuitPurpose.Receptacles;
        bool Suits(CircuitPurpose own) =>
            own == purpose || (purpose == CircuitPurpose.Mixed && own is CircuitPurpose.Lighting or CircuitPurpose.Receptacles);
        return
        [
            .. job
                .Decisions.Boxes.Where(b => b.Room == room && b.Kind != BoxKind.SmokeAlarm && Suits(BoxPurpose.Of(job, edition, b)))
                .Select(b => b.Id),
        ];
    }

    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (job.RoomById(Room) is not { } room)
            return CommandResult.Refuse("That room is not there any more.");
        var boxes = Boxes(job, Room, Circuit);
        return boxes.Length == 0
            ? CommandResult.Refuse($"Nothing in {room.Name} belongs on {(Circuit is { } n ? $"circuit {n}" : "a receptacle circuit")}.")
            : new AssignBoxes(boxes, Circuit).Apply(job);
    }
}

/// <summary>Puts a box on another circuit, or on a new one.</summary>
/// <param name="Box">The box.</param>
/// <param name="Circuit">The circuit, or none for a new one.</param>
public sealed record AssignBox(string Box, int? Circuit) : JobCommand("move to circuit")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job) =>
        job.Decisions.Boxes.Any(b => b.Id == Box)
            ? new AssignBoxes([Box], Circuit).Apply(job)
            : CommandResult.Refuse("That box is not there any more.");
}

/// <summary>Pins what a person wants of rooms in the division; what stands is moved as far as that asks.</summary>
/// <param name="Pin">What is wanted; it replaces what was pinned of the same rooms.</param>
public sealed record PinRooms(RoomPin Pin) : JobCommand("pin rooms")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (job.Decisions.Pins.Contains(Pin))
            return CommandResult.Refuse("That is pinned already.");
        if (job.RoomById(Pin.Room) is null || (Pin.Other is { } other && job.RoomById(other) is null))
            return CommandResult.Refuse("That room is not there any more.");
        var pinned = job with { Decisions = job.Decisions with { Pins = [.. job.Decisions.Pins.Where(p => !Pin.Replaces(p)), Pin] } };
        if (CommandResult.Checked(pinned) is { Job: null } refused)
            return refused;
        return CommandResult.Checked(pinned.Decisions.Circuits.Length == 0 ? pinned : Planner.PlanCircuits(pinned, PlanEffort.Full));
    }
}

/// <summary>Takes a pin away; the circuits stay as they are.</summary>
/// <param name="Pin">What was wanted.</param>
public sealed record UnpinRooms(RoomPin Pin) : JobCommand("unpin rooms")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job) =>
        job.Decisions.Pins.Contains(Pin)
            ? CommandResult.Checked(job with { Decisions = job.Decisions with { Pins = job.Decisions.Pins.Remove(Pin) } })
            : CommandResult.Refuse("That pin is not there any more.");
}

/// <summary>
/// Divides a circuit in two: what lies beyond a box, that box with it, goes on a new circuit; without a box the rear half of its cable.
/// </summary>
/// <param name="Number">The circuit.</param>
/// <param name="From">The box from which on, or none for about half.</param>
public sealed record SplitCircuit(int Number, string? From) : JobCommand("split circuit")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (job.Decisions.Circuits.FirstOrDefault(c => c.Number == Number) is not { } circuit)
            return CommandResult.Refuse($"There is no circuit {Number}.");
        if (circuit.Locked)
            return CommandResult.Refuse($"Circuit {Number} is locked. Unlock it first.");
        if (circuit.Boxes.Length < 2)
            return CommandResult.Refuse($"Circuit {Number} has {circuit.Boxes.Length} box: there is nothing to split.");
        if (From is not null && !circuit.Holds(From))
            return CommandResult.Refuse($"{JobRules.Short(From)} is not on circuit {Number}.");
        var run = Analysis.HouseDeriver.Derive(job).CircuitByNumber(Number)!.Run;

        // Where it is cut, one piece of cable goes; the pieces shall be as alike as the tree allows.
        var beyond = From is { } at
            ? run.Through(at)
            : run
                .Hops.Skip(1)
                .Select(h => run.Through(h.To))
                .OrderBy(t => Math.Abs((2 * t.Count) - run.Hops.Length))
                .ThenBy(t => t.Min(StringComparer.Ordinal), StringComparer.Ordinal)
                .First();
        if (beyond.Count == run.Hops.Length)
            return CommandResult.Refuse($"{From} is the first box of circuit {Number}: nothing would stay on it.");
        return CommandResult.Checked(Planner.Numbered(job, Planner.PlanSpaces(CircuitMoves.Move(job, beyond, null, circuit.Purpose).Job)));
    }
}

/// <summary>
/// Numbers the circuits anew by the panel's spaces, or in their order where the job counts up; only ever on request, because papers and
/// labels may be out.
/// </summary>
public sealed record RenumberCircuits() : JobCommand("renumber circuits")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        var settled = CircuitNumbers.Settle(job, new HashSet<int>());
        return settled.Decisions.Circuits.SequenceEqual(job.Decisions.Circuits)
            ? CommandResult.Refuse("The circuits have the numbers of their spaces already.")
            : CommandResult.Checked(settled);
    }
}

/// <summary>Makes a box the first of its circuit, where the home run ends, or lets the shortest way decide again.</summary>
/// <param name="Number">The circuit.</param>
/// <param name="Box">The box, or none.</param>
public sealed record ForceFirst(int Number, string? Box) : JobCommand(Box is null ? "let the shortest way decide" : "make first")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (job.Decisions.Circuits.FirstOrDefault(c => c.Number == Number) is not { } circuit)
            return CommandResult.Refuse($"There is no circuit {Number}.");
        if (Box is not null && !circuit.Holds(Box))
            return CommandResult.Refuse($"{JobRules.Short(Box)} is not on circuit {Number}.");
        if (job.Decisions.Pulled.FirstOrDefault(p => p.Circuit == Number) is { } pulled && pulled.To != Box)
            return CommandResult.Refuse($"The home run of circuit {Number} is pulled to {pulled.To}. Take back the tick first.");
        if (circuit.Run?.FirstOrDefault(c => c.From is null) is { } locked && locked.To != Box)
            return CommandResult.Refuse($"The run of circuit {Number} is locked, with {locked.To} first. Unlock it first.");
        return CommandResult.Checked(
            job with
            {
                Decisions = job.Decisions with { Circuits = job.Decisions.Circuits.Replace(circuit, circuit with { First = Box }) },
            }
        );
    }
}

/// <summary>
/// Feeds a box from the line side of a protective device, so that the device does not protect it, or from its load side again.
/// </summary>
/// <param name="Box">The box.</param>
/// <param name="LineSide">From the line side.</param>
public sealed record FeedFromLine(string Box, bool LineSide) : JobCommand(LineSide ? "feed from the line side" : "feed from the load side")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (job.Decisions.Circuits.FirstOrDefault(c => c.Holds(Box)) is not { } circuit)
            return CommandResult.Refuse("That box is on no circuit.");
        return CommandResult.Checked(
            job with
            {
                Decisions = job.Decisions with
                {
                    Circuits = job.Decisions.Circuits.Replace(
                        circuit,
                        circuit with
                        {
                            Boxes = [.. circuit.Boxes.Select(b => b.Box == Box ? b with { LineSide = LineSide } : b)],
                        }
                    ),
                },
            }
        );
    }
}

/// <summary>Takes some of a plan with another aim: one of its circuits, as the comparison shows it.</summary>
/// <param name="Aim">The aim's name.</param>
/// <param name="Number">The circuit's number in that plan.</param>
public sealed record TakePart(string Aim, int Number) : JobCommand("take part of a plan")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (PlanChoices.Aims.All(a => a.Name != Aim))
            return CommandResult.Refuse("There is no such plan.");
        var plan = PlanChoices.Plan(job, PlanChoices.Aims.First(a => a.Name == Aim).Weights);
        if (plan.Decisions.Circuits.FirstOrDefault(c => c.Number == Number) is not { Boxes.Length: > 0 } part)
            return CommandResult.Refuse($"That plan has no circuit {Number}.");
        var boxes = part.Boxes.Select(b => b.Box).ToHashSet();
        if (job.Decisions.Circuits.FirstOrDefault(c => c.Locked && c.Boxes.Any(b => boxes.Contains(b.Box))) is { } locked)
            return CommandResult.Refuse($"Circuit {locked.Number} is locked. Unlock it first.");

        // The circuit that holds most of them already keeps its number; what else it had is loose, and is planned again around it.
        var home = job
            .Decisions.Circuits.Where(c => c.Purpose == part.Purpose)
            .OrderByDescending(c => c.Boxes.Count(b => boxes.Contains(b.Box)))
            .ThenBy(c => c.Number)
            .FirstOrDefault(c => c.Boxes.Any(b => boxes.Contains(b.Box)));
        var loose = home is null
            ? job
            : job with
            {
                Decisions = job.Decisions with
                {
                    Circuits = job.Decisions.Circuits.Replace(
                        home,
                        home with
                        {
                            Boxes = [.. home.Boxes.Where(b => boxes.Contains(b.Box) || b.By == Maker.Person)],
                        }
                    ),
                },
            };
        return CommandResult.Checked(
            Planner.Numbered(job, Planner.PlanCircuits(CircuitMoves.Move(loose, boxes, home?.Number, part.Purpose).Job, PlanEffort.Full))
        );
    }
}

/// <summary>Moves boxes between circuits in the document.</summary>
public static class CircuitMoves
{
    /// <summary>The job with boxes on a circuit, put there by a person, and that circuit's number. Spaces are not laid out anew.</summary>
    /// <param name="job">The job.</param>
    /// <param name="boxes">The boxes.</param>
    /// <param name="circuit">The circuit, or none for a new one.</param>
    /// <param name="purpose">What a new circuit is for; none goes by the first box.</param>
    public static (Job Job, int Number) Move(Job job, IReadOnlySet<string> boxes, int? circuit, CircuitPurpose? purpose = null)
    {
        var number = circuit ?? Enumerable.Range(1, JobRules.MostCircuits + 1).First(n => job.Decisions.Circuits.All(c => c.Number != n));
        CircuitBox[] members =
        [
            .. job
                .Decisions.Boxes.Where(b => boxes.Contains(b.Id) && b.Serves is null)
                .Select(b => new CircuitBox { Box = b.Id, By = Maker.Person }),
        ];
        var circuits = job
            .Decisions.Circuits.Select(c =>
                c with
                {
                    Boxes = [.. c.Boxes.Where(b => !boxes.Contains(b.Box)), .. c.Number == number ? members : []],
                }
            )
            .ToList();
        if (circuit is null)
        {
            var edition = CodeLibrary.EditionOf(job);
            var kind = purpose
                ?? job.Decisions.Boxes.Where(b => boxes.Contains(b.Id))
                    .Select(b => BoxPurpose.Of(job, edition, b))
                    .GroupBy(p => p)
                    .OrderByDescending(g => g.Count())
                    .First()
                    .Key;
            circuits.Add(
                new Circuit
                {
                    Number = number,
                    Purpose = kind,
                    Boxes = [.. members],
                    By = Maker.Person,
                }
            );
        }

        // What is pulled stays pulled: the record goes with the box in which that home run ends, to a new circuit or to the one
        // that takes in all of its own.
        var emptied = circuits.Where(c => c.Boxes.Length == 0).Select(c => c.Number).ToHashSet();
        var pulled = job.Decisions.Pulled.Select(p =>
            boxes.Contains(p.To) && (circuit is null || emptied.Contains(p.Circuit)) ? p with { Circuit = number } : p
        );
        job = job with { Decisions = job.Decisions with { Pulled = [.. pulled] } };

        // A circuit that lost its last box goes, and its breaker with it, unless a person made it for later.
        circuits.RemoveAll(c => c.Boxes.Length == 0 && c.By == Maker.Planner);
        var left = circuits.Select(c => c.Number).ToHashSet();
        return (
            job with
            {
                Decisions = (
                    job.Decisions with
                    {
                        Circuits = [.. circuits.OrderBy(c => c.Number)],
                        Spaces = [.. job.Decisions.Spaces.Where(s => left.Contains(s.Circuit))],
                    }
                ).WithoutLostPairs(),
            },
            number
        );
    }
}
