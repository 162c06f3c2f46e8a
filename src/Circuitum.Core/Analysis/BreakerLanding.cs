using Circuitum.Core.Measure;

namespace Circuitum.Core.Analysis;

/// <summary>A breaker in its turn.</summary>
/// <param name="Order">Its turn, from 1.</param>
/// <param name="Row">Its space, the upper one of two.</param>
/// <param name="Amperes">Rating.</param>
/// <param name="Poles">1 or 2.</param>
/// <param name="Name">What it serves.</param>
/// <param name="Wire">What is landed, such as <c>12-2</c>.</param>
/// <param name="Size">AWG of its ungrounded wires.</param>
/// <param name="Remark">The white wire is ungrounded here and is marked again (200.7(C)).</param>
/// <param name="NeutralOnBreaker">The circuit's neutral goes to the breaker; the breaker's own tail goes to the bar.</param>
/// <param name="Tail">The breaker has a tail for the bar.</param>
/// <param name="Mark">Its protection, such as <c>AF GF</c>.</param>
public sealed record BreakerLanding(
    int Order,
    PanelRow Row,
    int Amperes,
    int Poles,
    string Name,
    string Wire,
    WireSize Size,
    bool Remark,
    bool NeutralOnBreaker,
    bool Tail,
    string Mark
);
