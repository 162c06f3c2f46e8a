using System.Collections.Immutable;

namespace Circuitum.Core.Analysis;

/// <summary>Home runs that go the same way and are pulled together.</summary>
/// <param name="Name">Which, in words.</param>
/// <param name="Lines">The runs, longest first.</param>
public sealed record PullGroup(string Name, ImmutableArray<PullLine> Lines);
