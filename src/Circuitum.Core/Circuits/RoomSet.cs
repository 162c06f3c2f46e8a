using System.Numerics;

namespace Circuitum.Core.Circuits;

/// <summary>Rooms by their place in the job's list, of which a job has <see cref="Intake.JobRules.MostRooms"/> at most.</summary>
internal struct RoomSet : IEquatable<RoomSet>
{
    // Three words hold 192 rooms.
    private ulong a,
        b,
        c;

    internal static RoomSet Of(IEnumerable<int> rooms)
    {
        var set = new RoomSet();
        foreach (var room in rooms)
            set.Add(room);
        return set;
    }

    internal readonly int Count => BitOperations.PopCount(a) + BitOperations.PopCount(b) + BitOperations.PopCount(c);

    internal readonly bool IsEmpty => (a | b | c) == 0;

    public static bool operator ==(RoomSet one, RoomSet other) => one.Equals(other);

    public static bool operator !=(RoomSet one, RoomSet other) => !one.Equals(other);

    internal void Add(int room)
    {
        if (room < 64)
            a |= 1UL << room;
        else if (room < 128)
            b |= 1UL << (room - 64);
        else
            c |= 1UL << (room - 128);
    }

    internal void Add(RoomSet other) => (a, b, c) = (a | other.a, b | other.b, c | other.c);

    internal readonly RoomSet And(RoomSet other) =>
        new()
        {
            a = a & other.a,
            b = b & other.b,
            c = c & other.c,
        };

    internal readonly RoomSet Without(RoomSet other) =>
        new()
        {
            a = a & ~other.a,
            b = b & ~other.b,
            c = c & ~other.c,
        };

    internal readonly bool Meets(RoomSet other) => ((a & other.a) | (b & other.b) | (c & other.c)) != 0;

    internal readonly bool HasAll(RoomSet other) => (other.a & ~a) == 0 && (other.b & ~b) == 0 && (other.c & ~c) == 0;

    /// <summary>The lowest room in it, or -1 when it is empty.</summary>
    internal readonly int First =>
        a != 0 ? BitOperations.TrailingZeroCount(a)
        : b != 0 ? 64 + BitOperations.TrailingZeroCount(b)
        : c != 0 ? 128 + BitOperations.TrailingZeroCount(c)
        : -1;

    /// <summary>Its rooms, lowest first.</summary>
    internal readonly IEnumerable<int> Rooms()
    {
        var left = this;
        for (var room = left.First; room >= 0; room = left.First)
        {
            yield return room;
            left = left.Without(Of([room]));
        }
    }

    public readonly bool Equals(RoomSet other) => a == other.a && b == other.b && c == other.c;

    public override readonly bool Equals(object? obj) => obj is RoomSet other && Equals(other);

    public override readonly int GetHashCode() => HashCode.Combine(a, b, c);
}
