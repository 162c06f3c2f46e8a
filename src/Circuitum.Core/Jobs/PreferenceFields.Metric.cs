using System.Globalization;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Jobs;

// Lengths to begin with, in feet and in metres.
public static partial class PreferenceFields
{
    private static readonly Preferences AtFirst = new();

    /// <summary>
    /// Preferences of a house whose lengths are told otherwise from now on: nobody who works in metres staples every 1219 mm. A length that
    /// still is what it was to begin with becomes what is usual in the other units; one that somebody chose stays as it is.
    /// </summary>
    /// <param name="p">The preferences.</param>
    /// <param name="units">The units from now on.</param>
    public static Preferences In(Preferences p, LengthUnits units)
    {
        foreach (
            var (read, write) in All.Select(f => f.Length).OfType<(Func<Preferences, Length>, Func<Preferences, Length, Preferences>)>()
        )
        {
            var (feet, metric) = (read(AtFirst), Round(read(AtFirst)));
            var (was, now) = units == LengthUnits.Metric ? (feet, metric) : (metric, feet);
            if (read(p) == was)
                p = write(p, now);
        }

        return p;
    }

    private static PreferenceField InMetres(this PreferenceField field, string why) =>
        field with
        {
            Metric = (field.Metric ?? field) with { Why = why },
        };

    // Kept by the foot or the square foot, told by the metre or the square metre.
    private static PreferenceField InMetres(
        this PreferenceField field,
        string title,
        double factor,
        Func<PlanWeights, int> read,
        Func<PlanWeights, int, PlanWeights> write
    ) =>
        field with
        {
            Metric = field with
            {
                Title = title,
                Read = p => Math.Round(read(p.Weights) * factor).ToString(CultureInfo.InvariantCulture),
                Write = (p, text) =>
                    int.TryParse(text, NumberStyles.None, CultureInfo.InvariantCulture, out var told) && told / factor <= PlanWeights.Most
                        ? (p with { Weights = write(p.Weights, (int)Math.Round(told / factor)) }, "")
                        : (null, $"{title}: type a whole number from 0 to {Math.Floor(PlanWeights.Most * factor):0}."),
            },
        };

    // Heights and reaches are told to 100 mm, what is shorter than a metre to 50 mm.
    private static Length Round(Length length) => length.RoundTo(Length.Millimetres(length < Length.Millimetres(1000) ? 50 : 100));
}
