namespace Circuitum.Core.Analysis;

/// <summary>
/// Which number a derivation is asked for: <c>circuit.7.load</c>, <c>box.kitchen.r1.fill</c>, <c>feeder.sub</c>, <c>cable</c>.
/// </summary>
/// <param name="Whole">The key as it is written.</param>
/// <param name="Kind">Its first part.</param>
/// <param name="Id">What stands between: the number or id of a thing; empty where there is none.</param>
/// <param name="What">Its last part, where something stands between; else empty.</param>
public readonly record struct DerivationKey(string Whole, string Kind, string Id, string What)
{
    /// <summary>Reads a key. Any text is one; most have no derivation.</summary>
    public static DerivationKey Parse(string text)
    {
        var first = text.IndexOf('.', StringComparison.Ordinal);
        var last = text.LastIndexOf('.');
        return first < 0 ? new(text, text, "", "")
            : first == last ? new(text, text[..first], text[(first + 1)..], "")
            : new(text, text[..first], text[(first + 1)..last], text[(last + 1)..]);
    }
}
