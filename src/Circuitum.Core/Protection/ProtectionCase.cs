using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Routing;

namespace Circuitum.Core.Protection;

/// <summary>What the protection of a circuit is planned from.</summary>
public sealed record ProtectionCase
{
    /// <summary>What each box needs.</summary>
    public required IReadOnlyDictionary<string, ImmutableArray<ProtectionNeed>> Needs { get; init; }

    /// <summary>The circuit's boxes.</summary>
    public required IReadOnlyList<Box> Boxes { get; init; }

    /// <summary>How many lines it hangs on.</summary>
    public required Connection Connection { get; init; }

    /// <summary>The preferences that count for the circuit.</summary>
    public required Preferences Preferences { get; init; }

    /// <summary>The units in which lengths are told.</summary>
    public LengthUnits Units { get; init; }

    /// <summary>A person's choice for this circuit, or none.</summary>
    public ProtectionPlace? Chosen { get; init; }

    /// <summary>Boxes that are not to hang on a device shared with others: fed from its line side.</summary>
    public ImmutableHashSet<string> LineSide { get; init; } = [];

    /// <summary>The circuit's cable where nothing decides which box is first.</summary>
    public required CableRun Run { get; init; }

    /// <summary>The circuit's cable with a box as the first one.</summary>
    public required Func<string, CableRun> RunFrom { get; init; }

    /// <summary>The section that says when an arc-fault device may sit in the first outlet.</summary>
    public required string FirstOutletCite { get; init; }
}
