namespace Circuitum.Formats.Dxf;

/// <summary>A part of a circle, counter-clockwise from one angle to the other.</summary>
/// <param name="Layer">Its layer.</param>
/// <param name="Centre">Its centre.</param>
/// <param name="Radius">Its radius.</param>
/// <param name="From">First angle, in degrees.</param>
/// <param name="To">Second angle, in degrees.</param>
public sealed record DxfArc(string Layer, DxfPoint Centre, double Radius, double From, double To)
{
    /// <summary>The point at an angle.</summary>
    public DxfPoint At(double degrees) =>
        new(Centre.X + (Radius * Math.Cos(degrees * Math.PI / 180)), Centre.Y + (Radius * Math.Sin(degrees * Math.PI / 180)));
}
