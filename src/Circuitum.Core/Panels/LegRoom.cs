namespace Circuitum.Core.Panels;

/// <summary>What is free on one leg.</summary>
/// <param name="Full">Whole spaces.</param>
/// <param name="Joined">Halves that a one-pole breaker can take beside one that is there already.</param>
/// <param name="Doubled">How many of the whole spaces take two breakers of half the height.</param>
public readonly record struct LegRoom(int Full, int Joined, int Doubled);
