namespace Circuitum.Core.Jobs;

/// <summary>What lies under the lowest floor.</summary>
public enum Under
{
    /// <summary>A crawl space that cable may be run through.</summary>
    CrawlSpace,

    /// <summary>A basement ceiling.</summary>
    Basement,

    /// <summary>A slab: nothing can be run underneath.</summary>
    Slab,
}
