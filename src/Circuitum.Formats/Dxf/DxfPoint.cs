namespace Circuitum.Formats.Dxf;

/// <summary>A place in a drawing, in drawing units; y is up.</summary>
/// <param name="X">To the right.</param>
/// <param name="Y">Up.</param>
public readonly record struct DxfPoint(double X, double Y);
