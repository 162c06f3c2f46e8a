namespace Circuitum.Core.Codes;

/// <summary>Which receptacles a laundry has.</summary>
public enum LaundryWay
{
    /// <summary>One, which may be the washing machine's.</summary>
    One,

    /// <summary>One beside that of the washing machine.</summary>
    OneMore,
}
