using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Checks;

/// <summary>A building apart from the one of the service.</summary>
/// <param name="Rooms">Its rooms, by id.</param>
/// <param name="Panels">The panels in it.</param>
internal sealed record SeparateBuilding(ImmutableHashSet<string> Rooms, List<PanelAnalysis> Panels)
{
    /// <summary>All of a job; none while it has no panel.</summary>
    internal static IEnumerable<SeparateBuilding> Of(JobAnalysis a)
    {
        if (a.Panel is not { } service)
            return [];
        var main = a.House.BuildingOf(service.Room);
        return a
            .Job.Rooms.Where(r => !r.Kind.OpenAir() && !main.Contains(r.Id))
            .Select(r => a.House.BuildingOf(r.Id))
            .DistinctBy(b => b.Min(StringComparer.Ordinal))
            .Select(b => new SeparateBuilding([.. b], [.. a.Panels.Where(p => b.Contains(p.Panel.Room))]));
    }

    /// <summary>Its name: that of its first room with a roof.</summary>
    internal string Name(JobAnalysis a) =>
        a.House[Rooms.Where(r => !a.House[r].Room.Kind.OpenAir()).Min(StringComparer.Ordinal)!].Room.Name;
}
