namespace Circuitum.Core.Measure;

/// <summary>A load in volt-amperes.</summary>
/// <param name="Value">Volt-amperes.</param>
public readonly record struct VoltAmperes(double Value) : IComparable<VoltAmperes>
{
    /// <summary>No load.</summary>
    public static VoltAmperes Zero => default;

    /// <summary>The current this load draws at a voltage.</summary>
    /// <param name="volts">The circuit's voltage, above zero.</param>
    public Amperes At(int volts) => new(Value / volts);

    /// <inheritdoc/>
    public int CompareTo(VoltAmperes other) => Value.CompareTo(other.Value);

    /// <summary>The sum of two loads.</summary>
    public static VoltAmperes operator +(VoltAmperes left, VoltAmperes right) => new(left.Value + right.Value);

    /// <summary>The difference of two loads.</summary>
    public static VoltAmperes operator -(VoltAmperes left, VoltAmperes right) => new(left.Value - right.Value);

    /// <summary>A load times a factor without a unit.</summary>
    public static VoltAmperes operator *(VoltAmperes left, double factor) => new(left.Value * factor);

    /// <summary>Whether the left load is less.</summary>
    public static bool operator <(VoltAmperes left, VoltAmperes right) => left.Value < right.Value;

    /// <summary>Whether the left load is more.</summary>
    public static bool operator >(VoltAmperes left, VoltAmperes right) => left.Value > right.Value;

    /// <summary>Whether the left load is at most the right.</summary>
    public static bool operator <=(VoltAmperes left, VoltAmperes right) => left.Value <= right.Value;

    /// <summary>Whether the left load is at least the right.</summary>
    public static bool operator >=(VoltAmperes left, VoltAmperes right) => left.Value >= right.Value;

    /// <inheritdoc/>
    public override string ToString() => $"{Value:#,0} VA";
}

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
