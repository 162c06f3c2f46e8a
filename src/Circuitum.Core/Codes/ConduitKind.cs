using System.Collections.Immutable;

namespace Circuitum.Core.Codes;

/// <summary>A kind of conduit.</summary>
/// <param name="Id">Its key.</param>
/// <param name="Name">What to ask for.</param>
/// <param name="Bends">Section that limits its bends.</param>
/// <param name="Sizes">Trade sizes, smallest first, with their inside area (Chapter 9, Table 4).</param>
public sealed record ConduitKind(string Id, string Name, string Bends, ImmutableArray<ConduitSize> Sizes);
