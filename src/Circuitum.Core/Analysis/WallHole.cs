namespace Circuitum.Core.Analysis;

/// <summary>A hole in a stud or a plate of a wall.</summary>
/// <param name="At">Where.</param>
/// <param name="Cables">Cables through it.</param>
/// <param name="BitSixteenths">Its diameter in sixteenths of an inch.</param>
/// <param name="NailPlate">It comes nearer than 1-1/4 in to a face (300.4(A)(1)).</param>
public sealed record WallHole(WallPlace At, int Cables, int BitSixteenths, bool NailPlate);
