using System.Collections.Immutable;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Analysis;

/// <summary>What changed since a set of papers was issued: a list, and the boxes to mark on the plan.</summary>
/// <param name="List">In words, boxes first, then circuits and the house.</param>
/// <param name="Boxes">Boxes that are there now and are new, moved, or on another circuit.</param>
public sealed record ChangesSince(ImmutableArray<Consequence> List, ImmutableHashSet<string> Boxes)
{
    /// <summary>The changes from one state of a job to another.</summary>
    /// <param name="before">As issued.</param>
    /// <param name="after">As it stands now.</param>
    public static ChangesSince Of(JobAnalysis before, JobAnalysis after)
    {
        var list = ImmutableArray.CreateBuilder<Consequence>();
        var marked = ImmutableHashSet.CreateBuilder<string>();
        foreach (var box in after.Job.Decisions.Boxes.OrderBy(b => b.Id, StringComparer.Ordinal))
        {
            var what = Change(before, after, box);
            if (what.Length == 0)
                continue;
            marked.Add(box.Id);
            list.Add(
                new(Subject.Box(box.Id), $"Box {box.Id}, {after.Job.RoomById(box.Room)!.Name}: {what}.", box.State != BoxState.Planned)
            );
        }

        foreach (
            var gone in before.Job.Decisions.Boxes.Where(b => !after.Boxes.ContainsKey(b.Id)).OrderBy(b => b.Id, StringComparer.Ordinal)
        )
            list.Add(new(null, $"Box {gone.Id}: gone.", gone.State != BoxState.Planned));
        list.AddRange(Consequences.Of(before, after));
        return new(list.ToImmutable(), marked.ToImmutable());
    }

    private static string Change(JobAnalysis before, JobAnalysis after, Box box)
    {
        if (!before.Boxes.TryGetValue(box.Id, out var was))
            return "new";
        var parts = new List<string>();
        if (was.Kind != box.Kind)
            parts.Add($"{was.Kind.ToString().ToLowerInvariant()} to {box.Kind.ToString().ToLowerInvariant()}");
        var moved = Places.Of(before.House, was).RectilinearTo(Places.Of(after.House, box));
        if (moved >= Length.Inches(1) || was.Room != box.Room)
            parts.Add($"moved {LengthText.Show(moved, after.Units)}");
        if ((was.Height - box.Height).Abs() >= Length.Inches(0.5))
            parts.Add($"from {LengthText.Show(was.Height, after.Units)} to {LengthText.Show(box.Height, after.Units)} up");
        var (old, now) = (before.CircuitOf(box.Id)?.Number, after.CircuitOf(box.Id)?.Number);
        if (old != now)
            parts.Add(
                old is null ? $"on circuit {now}"
                : now is null ? "on no circuit any more"
                : $"from circuit {old} to {now}"
            );
        return string.Join(", ", parts);
    }
}
