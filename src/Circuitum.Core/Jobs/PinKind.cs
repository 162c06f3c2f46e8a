namespace Circuitum.Core.Jobs;

/// <summary>What a person wants of rooms in the division.</summary>
public enum PinKind
{
    /// <summary>The room has its circuit to itself, closets and halls apart.</summary>
    Alone,

    /// <summary>Both rooms hang on one circuit.</summary>
    Together,

    /// <summary>The rooms hang on different circuits.</summary>
    Apart,
}
