using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Loads;

/// <summary>What one box puts on its circuit.</summary>
/// <param name="Box">The box.</param>
/// <param name="Load">Planned load.</param>
/// <param name="Continuous">Three hours or more.</param>
/// <param name="Kind">What sort of load it is for the half-circuit and plug-in rules.</param>
/// <param name="Source">Where the figure comes from.</param>
public sealed record BoxLoad(Box Box, VoltAmperes Load, bool Continuous, LoadKind Kind, string Source)
{
    /// <summary>
    /// A planning figure for a general receptacle: it divides circuits and legs, and no rule for dwellings holds a breaker to it
    /// (220.14(J), from 2023 220.41).
    /// </summary>
    public bool Practice { get; init; }

    /// <summary>A motor is all or most of it.</summary>
    public bool Motor { get; init; }

    /// <summary>Planning figure for an alarm.</summary>
    public const double AlarmVa = 5;

    /// <summary>From this on something plugged in is a heavy user: a space heater, a steamer, a vacuum cleaner.</summary>
    public const double HeavyVa = 1000;

    /// <summary>The load of a box.</summary>
    public static BoxLoad Of(Job job, Box box)
    {
        var edition = CodeLibrary.Edition(job.CodeEdition);
        if (edition.Board is not null && OnBoard(edition, box) is { } point)
            return point;
        switch (box.Kind)
        {
            case BoxKind.Receptacle when box.VoltAmperes is { } planned:
                return new(
                    box,
                    new(planned),
                    false,
                    planned >= HeavyVa ? LoadKind.PlugIn : LoadKind.GeneralReceptacle,
                    "as entered for what is plugged in here"
                );
            case BoxKind.Receptacle or BoxKind.Provision:
                var devices = box.Style == ReceptacleStyle.Quad ? 2 : 1;
                return new(
                    box,
                    new(edition.ReceptacleVa * devices),
                    false,
                    LoadKind.GeneralReceptacle,
                    "planning figure for a receptacle, practice"
                )
                {
                    Practice = true,
                };
            case BoxKind.Light:
                return new(
                    box,
                    new(box.VoltAmperes ?? edition.LightVa),
                    false,
                    LoadKind.Light,
                    box.VoltAmperes is null ? "planning figure for a light, practice" : "as entered"
                );
            case BoxKind.SmokeAlarm:
                return new(box, new(AlarmVa), false, LoadKind.Fixed, "planning figure for an alarm, practice");
            case BoxKind.Appliance when job.ApplianceById(box.Appliance) is { } appliance:
                var facts = ApplianceFacts.Of(job, appliance);
                var source =
                    !facts.Stated ? "typical nameplate, assumed"
                    : appliance.Nameplate.Confirmed ? "nameplate, confirmed"
                    : "nameplate, not confirmed";
                var kind = facts.FastenedInPlace ? LoadKind.Fixed : LoadKind.PlugIn;
                return new(box, facts.Load, facts.Continuous(job.Preferences), kind, source) { Motor = facts.MotorLoad };
            default:
                return new(box, VoltAmperes.Zero, false, LoadKind.None, "");
        }
    }

    // Points of a split board count by a figure of their own, or by what they are if that is more.
    private static BoxLoad? OnBoard(CodeEdition edition, Box box)
    {
        switch (box.Kind)
        {
            case BoxKind.Light:
                var led = box.Fixture == LightStyle.Recessed || box.VoltAmperes is not null;
                var least = edition.Number(led ? "ledPointW" : "lampPointW");
                var load = Math.Max(least, box.VoltAmperes ?? 0);
                return new(box, new(load), false, LoadKind.Light, led ? "a LED point" : "a lamp point");
            case BoxKind.Receptacle when box.Style == ReceptacleStyle.Single && box.VoltAmperes is null:
                return new(box, new(edition.Number("singleSocketW")), false, LoadKind.GeneralReceptacle, "a single socket-outlet");
            default:
                return null;
        }
    }
}
