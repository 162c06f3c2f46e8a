namespace Circuitum.Core.Analysis;

/// <summary>One place of a split board: a line of a way, or a whole way for a breaker on three lines.</summary>
/// <param name="Name">Section, way and line: <c>A2-R</c>; without a line for a whole way.</param>
/// <param name="Section">The index of its section, or none past the last one.</param>
/// <param name="Way">The way in its section, from 1.</param>
/// <param name="Line">The line, from 0.</param>
/// <param name="Row">What is in it.</param>
public sealed record BoardPlace(string Name, int? Section, int Way, int Line, PanelRow Row)
{
    /// <summary>The circuit in it, or none.</summary>
    public CircuitAnalysis? Circuit => Row.Circuit;

    /// <summary>Whether it is the second or third line of a breaker that begins above it.</summary>
    public bool GoesOn => Row.SecondPole;
}
