namespace Circuitum.Formats;

/// <summary>A sticker.</summary>
/// <param name="Number">The circuit's number, large.</param>
/// <param name="Text">What else it says.</param>
public sealed record Sticker(string Number, string Text)
{
    /// <summary>What a phone opens that scans it; empty for no code.</summary>
    public string Code { get; init; } = "";
}
