using System.Collections.Immutable;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Codes;
using Circuitum.Core.Explain;
using Circuitum.Core.Measure;
using Circuitum.Core.Sizing;

namespace Circuitum.Core.Analysis;

/// <summary>What a box has to be: the box to buy, its device and how it stands on the frame.</summary>
public sealed record BoxSpec
{
    /// <summary>Gangs of a device box; 0 for one that carries a fixture.</summary>
    public required int Gangs { get; init; }

    /// <summary>The generic box, or none for equipment that brings its own.</summary>
    public BoxEntry? Entry { get; init; }

    /// <summary>Those of its job, in which its volume is told.</summary>
    public LengthUnits Units { get; init; }

    /// <summary>Volume of what is in it, by the estimated run; none while it is on no circuit.</summary>
    public BoxFill? Fill { get; init; }

    /// <summary>The cables that end in it, by the planned run.</summary>
    public ImmutableArray<CableEnd> Cables { get; init; } = [];

    /// <summary>The fill, cable by cable and line by line, and whether the box holds it; none while it is on no circuit.</summary>
    public Derivation? FillDerivation =>
        Fill is not { } fill || Entry is not { } entry
            ? null
            : fill.Derivation with
            {
                Steps =
                [
                    .. Cables.Select(c => Derivation.Fact(c.InWords, $"{c.Cable}")),
                    .. fill.Derivation.Steps,
                    Holds(fill, entry, Units),
                ],
            };

    private static Derivation Holds(BoxFill fill, BoxEntry entry, LengthUnits units)
    {
        var smaller = CodeLibrary
            .Boxes.Values.Where(b =>
                b.Use == entry.Use && b.Gangs == entry.Gangs && b.Bracket == entry.Bracket && b.Volume < fill.Inches3 - 1e-9
            )
            .MaxBy(b => b.Volume);
        return new(entry.Name, fill.Inches3 <= entry.Volume + 1e-9 ? "holds it" : "too small")
        {
            Formula = $"{VolumeText.Number(fill.Inches3, units)} of {VolumeText.Show(entry.Volume, units, "0.0")}",
            Because = smaller is null
                ? "Pigtails that stay in the box do not count."
                : $"The next smaller one, {smaller.In(units).Name}, falls {VolumeText.Show(fill.Inches3 - smaller.Volume, units)} short. "
                    + "Pigtails that stay in the box do not count.",
        };
    }

    /// <summary>Rating of its receptacle in amperes; 0 when it holds none.</summary>
    public int RatingA { get; init; }

    /// <summary>What is wrong with the rating that a person chose, or none.</summary>
    public string? RatingFault { get; init; }

    /// <summary>Tamper-resistant (406.12).</summary>
    public bool TamperResistant { get; init; }

    /// <summary>Protection from the weather (406.9).</summary>
    public WeatherNeed Weather { get; init; }

    /// <summary>Listed for a fan (314.27(C)).</summary>
    public bool FanRated { get; init; }

    /// <summary>The stud it is nailed to; none in a ceiling.</summary>
    public StudNote? Stud { get; init; }

    /// <summary>What is written on the stud or the floor.</summary>
    public required string Mark { get; init; }

    /// <summary>For each gang of a switch box its switch: 1 a single pole, 3 a three-way, 4 a four-way.</summary>
    public ImmutableArray<int> Ways { get; init; } = [];

    /// <summary>For each gang of a switch box its switch in words, such as "three-way dimmer".</summary>
    public ImmutableArray<string> Switches { get; init; } = [];

    /// <summary>The device in words, such as "duplex, 15 A, tamper-resistant".</summary>
    public required string Device { get; init; }
}
