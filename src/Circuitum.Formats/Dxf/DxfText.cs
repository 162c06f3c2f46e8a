namespace Circuitum.Formats.Dxf;

/// <summary>A text.</summary>
/// <param name="Layer">Its layer.</param>
/// <param name="At">Where it stands.</param>
/// <param name="Text">What it says.</param>
public sealed record DxfText(string Layer, DxfPoint At, string Text);
