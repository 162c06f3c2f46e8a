using Circuitum.Core.Circuits;
using Circuitum.Core.Edits;

namespace Circuitum.Core.Commands;

/// <summary>An edit that may take a while: who asks is told how far it is and may end it with the best so far.</summary>
/// <param name="Title">What undo calls it.</param>
public abstract record PlanningCommand(string Title) : JobCommand(Title)
{
    /// <summary>Who looks on and may end it early; none for nobody.</summary>
    public PlanWatch? Watch { get; init; }
}
