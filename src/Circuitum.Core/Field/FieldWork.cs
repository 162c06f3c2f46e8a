namespace Circuitum.Core.Field;

/// <summary>What is done in the field, in the order in which it is done.</summary>
public enum FieldWork
{
    /// <summary>A box is set.</summary>
    Set,

    /// <summary>A cable is pulled.</summary>
    Pull,

    /// <summary>A box is made up.</summary>
    MakeUp,

    /// <summary>The cables of a wall are stapled and its nail plates are on.</summary>
    Secure,

    /// <summary>A wall is photographed before it is closed.</summary>
    Photograph,

    /// <summary>A box is tested.</summary>
    Test,

    /// <summary>Something is looked at by an inspector, or noted for one.</summary>
    Inspect,
}
