using System.Globalization;

namespace Circuitum.Core.Measure;

/// <summary>An amount of money, exact in cents.</summary>
/// <param name="Cents">Less than zero for what is saved.</param>
public readonly record struct Money(long Cents) : IComparable<Money>
{
    /// <summary>An amount worked out in parts of a cent, to the nearest cent; a half goes away from zero.</summary>
    public static Money OfCents(double cents) => new((long)Math.Round(cents, MidpointRounding.AwayFromZero));

    /// <inheritdoc/>
    public int CompareTo(Money other) => Cents.CompareTo(other.Cents);

    /// <summary>The sum.</summary>
    public static Money operator +(Money left, Money right) => new(left.Cents + right.Cents);

    /// <summary>The difference.</summary>
    public static Money operator -(Money left, Money right) => new(left.Cents - right.Cents);

    /// <summary>Whether the left one is less.</summary>
    public static bool operator <(Money left, Money right) => left.Cents < right.Cents;

    /// <summary>Whether the left one is more.</summary>
    public static bool operator >(Money left, Money right) => left.Cents > right.Cents;

    /// <summary>Whether the left one is at most the right.</summary>
    public static bool operator <=(Money left, Money right) => left.Cents <= right.Cents;

    /// <summary>Whether the left one is at least the right.</summary>
    public static bool operator >=(Money left, Money right) => left.Cents >= right.Cents;

    /// <summary>An amount in dollars, to the nearest cent; a half goes away from zero.</summary>
    public static Money Dollars(decimal dollars) => new((long)Math.Round(dollars * 100, MidpointRounding.AwayFromZero));

    /// <summary>In dollars and cents.</summary>
    public string Exact => string.Create(CultureInfo.InvariantCulture, $"{(Cents < 0 ? "-" : "")}${Math.Abs(Cents) / 100m:#,0.00}");

    /// <summary>In dollars and cents with the sign always before it.</summary>
    public string ExactSigned => Cents > 0 ? $"+{Exact}" : Exact;

    /// <summary>In whole dollars.</summary>
    public override string ToString() => FormattableString.Invariant($"${Cents / 100.0:#,0}");

    /// <summary>In whole dollars with the sign always before it: what something costs more or less.</summary>
    public string Signed() => Cents >= 0 ? $"+{this}" : $"-{new Money(-Cents)}";
}
