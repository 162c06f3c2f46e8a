using System.Collections.Immutable;

namespace Circuitum.Core.Panels;

/// <summary>Outlets that are counted within another line.</summary>
/// <param name="What">The line.</param>
/// <param name="Why">Why they bring none of their own.</param>
/// <param name="Citation">The section that says so.</param>
/// <param name="Boxes">Their ids.</param>
public sealed record LoadNote(string What, string Why, string Citation, ImmutableArray<string> Boxes);
