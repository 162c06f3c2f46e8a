namespace Circuitum.Core.Takeoff;

/// <summary>What of one potential meets in a box.</summary>
/// <param name="What">What it is, such as <c>hot</c>, <c>traveler 1 of 2</c>.</param>
/// <param name="Ground">Whether it is the equipment ground.</param>
/// <param name="Wires">Wires of cables.</param>
/// <param name="Terminals">Terminals of devices.</param>
/// <param name="Leads">Leads of what hangs there.</param>
/// <param name="Splice">The splice that it takes; none where wires land on terminals.</param>
public sealed record BoxJoint(string What, bool Ground, int Wires, int Terminals, int Leads, Splice? Splice);
