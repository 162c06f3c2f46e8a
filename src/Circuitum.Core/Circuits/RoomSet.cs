using System.Numerics;
using System.Runtime.Intrinsics;

namespace Circuitum.Core.Circuits;

/// <summary>Rooms by their place in the job's list, of which a job has <see cref="Intake.JobRules.MostRooms"/> at most.</summary>
internal struct RoomSet : IEquatable<RoomSet>
{
    // Eight words hold 512 rooms, and go through the processor as one or two.
    private const int Words = 8;

    private static readonly RoomSet[] Singles = [.. Enumerable.Range(0, Words * 64).Select(Single)];

    private Vector512<ulong> words;

    private RoomSet(Vector512<ulong> words) => this.words = words;

    internal static RoomSet Of(IEnumerable<int> rooms)
    {
        var set = Vector512<ulong>.Zero;
        foreach (var room in rooms)
            set |= Singles[room].words;
        return new(set);
    }

    internal readonly int Count
    {
        get
        {
            var count = 0;
            for (var i = 0; i < Words; i++)
                count += BitOperations.PopCount(words[i]);
            return count;
        }
    }

    internal readonly bool IsEmpty => words == Vector512<ulong>.Zero;

    public static bool operator ==(RoomSet one, RoomSet other) => one.words == other.words;

    public static bool operator !=(RoomSet one, RoomSet other) => one.words != other.words;

    internal void Add(int room) => words |= Singles[room].words;

    internal void Add(RoomSet other) => words |= other.words;

    internal readonly RoomSet And(RoomSet other) => new(words & other.words);

    internal readonly RoomSet Without(RoomSet other) => new(Vector512.AndNot(words, other.words));

    internal readonly bool Meets(RoomSet other) => (words & other.words) != Vector512<ulong>.Zero;

    internal readonly bool HasAll(RoomSet other) => Vector512.AndNot(other.words, words) == Vector512<ulong>.Zero;

    /// <summary>The lowest room in it, or -1 when it is empty.</summary>
    internal readonly int First
    {
        get
        {
            for (var i = 0; i < Words; i++)
            {
                if (words[i] != 0)
                    return (64 * i) + BitOperations.TrailingZeroCount(words[i]);
            }

            return -1;
        }
    }

    /// <summary>Its rooms, lowest first.</summary>
    internal readonly IEnumerable<int> Rooms()
    {
        foreach (var room in this)
            yield return room;
    }

    public readonly Walker GetEnumerator() => new(words);

    /// <summary>Goes through the rooms, lowest first, without a thing of its own for each walk.</summary>
    internal struct Walker(Vector512<ulong> words)
    {
        private int word = -1;
        private ulong left;

        public int Current { get; private set; }

        public bool MoveNext()
        {
            while (left == 0)
            {
                if (++word == Words)
                    return false;
                left = words[word];
            }

            Current = (64 * word) + BitOperations.TrailingZeroCount(left);
            left &= left - 1;
            return true;
        }
    }

    public readonly bool Equals(RoomSet other) => words == other.words;

    public override readonly bool Equals(object? obj) => obj is RoomSet other && Equals(other);

    public override readonly int GetHashCode() => words.GetHashCode();

    private static RoomSet Single(int room) => new(Vector512<ulong>.Zero.WithElement(room / 64, 1UL << (room % 64)));
}
