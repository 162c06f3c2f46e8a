namespace Circuitum.Core.Measure;

/// <summary>A current in amperes.</summary>
/// <param name="Value">Amperes.</param>
public readonly record struct Amperes(double Value) : IComparable<Amperes>
{
    /// <inheritdoc/>
    public int CompareTo(Amperes other) => Value.CompareTo(other.Value);

    /// <summary>The sum of two currents.</summary>
    public static Amperes operator +(Amperes left, Amperes right) => new(left.Value + right.Value);

    /// <summary>A current times a factor without a unit.</summary>
    public static Amperes operator *(Amperes left, double factor) => new(left.Value * factor);

    /// <summary>Whether the left current is less.</summary>
    public static bool operator <(Amperes left, Amperes right) => left.Value < right.Value;

    /// <summary>Whether the left current is more.</summary>
    public static bool operator >(Amperes left, Amperes right) => left.Value > right.Value;

    /// <summary>Whether the left current is at most the right, to a millionth of an ampere.</summary>
    public static bool operator <=(Amperes left, Amperes right) => left.Value <= right.Value + 1e-6;

    /// <summary>Whether the left current is at least the right, to a millionth of an ampere.</summary>
    public static bool operator >=(Amperes left, Amperes right) => left.Value >= right.Value - 1e-6;

    /// <inheritdoc/>
    public override string ToString() => $"{Value:0.##} A";
}
