namespace Circuitum.Core.Protection;

/// <summary>Why a box needs a kind of protection.</summary>
/// <param name="Kind">Which.</param>
/// <param name="RuleId">The rule.</param>
/// <param name="Citation">Its section.</param>
/// <param name="Reason">In words.</param>
public sealed record ProtectionNeed(ProtectionKind Kind, string RuleId, string Citation, string Reason);
