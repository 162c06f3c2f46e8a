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
