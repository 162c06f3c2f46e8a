using Circuitum.Core.Routing;

namespace Circuitum.Core.Field;

/// <summary>A cable as it is pulled.</summary>
/// <param name="From">The panel or box at which it begins.</param>
/// <param name="To">The panel or box at which it ends.</param>
/// <param name="Route">Its way through the house.</param>
public sealed record FieldCable(string From, string To, CableRoute Route);
