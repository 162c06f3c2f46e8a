using Circuitum.Core.Analysis;
using Circuitum.Core.Edits;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Commands;

/// <summary>Types over a dimension that stands on the plan.</summary>
/// <param name="Dim"><c>wall:ROOM:N</c>, or the key of an opening or a thing with <c>:before</c>, <c>:width</c> or <c>:after</c>.</param>
/// <param name="Length">What it shall be.</param>
public sealed record SetDimension(string Dim, Length Length) : JobCommand("set dimension")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        var part = Dim.Split(':');
        if (part is ["wall", var room, var wall] && int.TryParse(wall, out var n))
            return new SetWallLength(room, n, Length, false).Apply(job);
        if (part.Length != 3)
            return CommandResult.Refuse(PlanEdit.Gone("dimension"));
        if (part[0] == "opening" && job.Openings.FirstOrDefault(o => o.Id == part[1]) is { } o)
        {
            var (from, width) = Typed(job, o.Room, o.Wall, o.From, o.Width, part[2]);
            return new EditOpening(o.Id, o.Kind, from, width, o.Hinge, o.SwingsIn, o.Sill, o.Head).Apply(job);
        }

        var spot = part[0] switch
        {
            "counter" => job.Counters.Where(c => c.Id == part[1]).Select(c => (c.Room, c.Spot)).FirstOrDefault(),
            "fixture" => job.Fixtures.Where(c => c.Id == part[1]).Select(c => (c.Room, c.Spot)).FirstOrDefault(),
            _ => job.Appliances.Where(c => c.Id == part[1]).Select(c => (c.Room, c.Spot)).FirstOrDefault(),
        };
        if (spot.Spot?.Wall is not { } on)
            return CommandResult.Refuse(PlanEdit.Gone("dimension"));
        var (f, w) = Typed(job, spot.Room, on, spot.Spot.From, spot.Spot.Width, part[2]);
        return new EditThing(Subject.Parse($"{part[0]}:{part[1]}"), f, w, spot.Spot.Depth).Apply(job);
    }

    private (Length From, Length Width) Typed(Job job, string room, int wall, Length from, Length width, string which) =>
        which switch
        {
            "before" => (Length, width),
            "width" => (from, Length),
            _ => (new RoomShape(job.RoomById(room)!).Walls[wall].Length - Length - width, width),
        };
}
