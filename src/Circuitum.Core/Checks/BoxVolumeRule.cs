using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Checks;

/// <summary>A box that holds what is in it.</summary>
internal sealed class BoxVolumeRule : CheckedRule
{
    internal override string Id => "box.volume";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        foreach (var box in a.Job.Decisions.Boxes)
        {
            if (a.Specs.GetValueOrDefault(box.Id) is { Fill: { } fill, Entry: { } entry } && fill.Inches3 > entry.Volume + 1e-9)
                yield return Breach(
                    a,
                    $"{a.House[box.Room].Room.Name}: {box.Id} needs {VolumeText.Show(fill.Inches3, a.Units)};"
                        + $" a {entry.Name} holds {VolumeText.Marked(entry.Volume, a.Units)}.",
                    Subject.Box(box.Id)
                ) with
                {
                    Fix = box.Size is null ? null : BoxFixes.Change("Take the smallest that serves", box.Id, new() { Size = "" }),
                };
        }
    }
}
