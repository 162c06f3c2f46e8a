using Circuitum.Core.Codes;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Sizing;

/// <summary>What the sizing of a circuit of a split board starts from.</summary>
public sealed record BoardSizingCase
{
    /// <summary>What it is for.</summary>
    public required BoardUse Use { get; init; }

    /// <summary>Both ends on one breaker.</summary>
    public bool Ring { get; init; }

    /// <summary>A socket-outlet of 15 A, alone on its radial.</summary>
    public bool LargeSocket { get; init; }

    /// <summary>On three lines.</summary>
    public bool ThreeLines { get; init; }

    /// <summary>Connected load in watts.</summary>
    public double Watts { get; init; }

    /// <summary>Volts of what is connected.</summary>
    public required int Volts { get; init; }

    /// <summary>A person's breaker in amperes, or none.</summary>
    public int? Held { get; init; }

    /// <summary>Temperature around the cable in degrees Celsius.</summary>
    public int AmbientC { get; init; } = 30;

    /// <summary>Circuits in its conduit, itself among them.</summary>
    public int Together { get; init; } = 1;

    /// <summary>A larger cable that the drop asks for, or none.</summary>
    public WireSize? Larger { get; init; }

    /// <summary>The current of the connected load, in amperes.</summary>
    public double Amperes => Watts / (ThreeLines ? Math.Sqrt(3) * Volts : Volts);
}
