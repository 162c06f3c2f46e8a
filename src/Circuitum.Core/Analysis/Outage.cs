using System.Collections.Immutable;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Analysis;

/// <summary>The house when a breaker is off, or when a box in the middle of a circuit opens.</summary>
/// <param name="What">What is off, in words.</param>
/// <param name="Dead">The boxes without power.</param>
/// <param name="NoLight">Rooms that had light and have none.</param>
/// <param name="NoPower">Rooms in which nothing works any more.</param>
public sealed record Outage(string What, ImmutableHashSet<string> Dead, ImmutableArray<Room> NoLight, ImmutableArray<Room> NoPower)
{
    /// <summary>What goes dark with a subject, or none when it is not one that can be switched off.</summary>
    /// <param name="a">The analysis.</param>
    /// <param name="subject"><c>circuit:N</c> for its breaker, <c>box:ID</c> for the device in a box, <c>cable:ID</c> for the cable that
    /// feeds it.</param>
    public static Outage? Of(JobAnalysis a, string subject)
    {
        switch (Subject.TryParse(subject))
        {
            case { Kind: SubjectKind.Circuit, Number: { } n } when a.CircuitByNumber(n) is { } circuit:
                return Of(a, $"breaker {n}, {circuit.Label}", [.. circuit.Boxes.Select(b => b.Id)]);
            case { Kind: SubjectKind.Box, Id: var id } when a.Boxes.ContainsKey(id) && a.CircuitOf(id) is { } circuit:
                // On a pigtail the failing of a device leaves the rest on; fed through it, and behind a protective one, what lies beyond
                // goes with it.
                var pigtail = a.Boxes[id].Kind == BoxKind.Receptacle && BoxCables.Style(a.Job, circuit, id) == Connections.Pigtail;
                var beyond =
                    circuit.Protection.In(id) is { } device ? [.. device.Covers]
                    : pigtail ? ImmutableHashSet.Create(id)
                    : circuit.Run.Through(id);
                return Of(a, $"the device in {id}, on circuit {circuit.Number}", beyond);
            case { Kind: SubjectKind.Cable, Id: var to } when a.Boxes.ContainsKey(to) && a.CircuitOf(to) is { } fed:
                var mate = fed is { Pair: { } pair, Carried: false } && fed.Run.First == to ? a.CircuitByNumber(pair.Second) : null;
                return Of(
                    a,
                    $"the cable to {to}, on circuit {fed.Number}{(mate is null ? "" : $" and {mate.Number}")}",
                    fed.Run.Through(to).Union(mate?.Boxes.Select(b => b.Id) ?? [])
                );
            default:
                return null;
        }
    }

    /// <summary>The house without some boxes.</summary>
    internal static Outage Of(JobAnalysis a, string what, ImmutableHashSet<string> dead)
    {
        var byRoom = a
            .Job.Decisions.Boxes.Where(b => !b.Outside && b.Kind is BoxKind.Light or BoxKind.Receptacle or BoxKind.Appliance)
            .ToLookup(b => b.Room);
        bool All(Room room, Func<Box, bool> which) =>
            byRoom[room.Id].Where(which).ToList() is { Count: > 0 } boxes && boxes.All(b => dead.Contains(b.Id));
        return new(
            what,
            dead,
            [.. a.Job.Rooms.Where(r => All(r, b => b.Kind == BoxKind.Light))],
            [.. a.Job.Rooms.Where(r => All(r, _ => true))]
        );
    }
}
