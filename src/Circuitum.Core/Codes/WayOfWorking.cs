using System.Collections.Immutable;

namespace Circuitum.Core.Codes;

/// <summary>A set of preferences that go together, to begin with.</summary>
/// <param name="Id">Its key.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Text">What it is about and what it costs, in a few words.</param>
/// <param name="Preferences">Preferences by key, as they are typed; the others stay as they are.</param>
public sealed record WayOfWorking(string Id, string Name, string Text, ImmutableSortedDictionary<string, string> Preferences);
