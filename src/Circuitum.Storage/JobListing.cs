namespace Circuitum.Storage;

/// <summary>A line of the list of jobs.</summary>
/// <param name="Id">Its id.</param>
/// <param name="Name">Its name.</param>
/// <param name="Changed">Last change, UTC.</param>
public sealed record JobListing(string Id, string Name, DateTime Changed);
