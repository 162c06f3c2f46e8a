using System.Collections.Immutable;

namespace Circuitum.Formats.Edits;

/// <summary>An edit as a form posts it.</summary>
/// <param name="Word">Which edit it is, such as <c>move-box</c>.</param>
/// <param name="Fields">Its fields; a name may come more than once.</param>
public sealed record EditFields(string Word, ImmutableArray<(string Name, string Value)> Fields);
