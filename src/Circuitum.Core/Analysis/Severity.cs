namespace Circuitum.Core.Analysis;

/// <summary>How grave a finding is.</summary>
public enum Severity
{
    /// <summary>Breaks a rule.</summary>
    Must,

    /// <summary>Advice that a careful person follows.</summary>
    Should,

    /// <summary>Worth knowing.</summary>
    Note,
}
