using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Takeoff;

/// <summary>Counts boxes with what joins their wires.</summary>
internal static class BoxCount
{
    internal static void Count(JobAnalysis a, Tally t)
    {
        foreach (var box in a.Job.Decisions.Boxes)
        {
            var (spec, at) = (a.Specs[box.Id], t.At(box));
            if (spec.Entry is { } entry)
            {
                at.Add("box", 1, entry.Id, entry.Name);
                if (entry.Metal)
                    at.Add("bond-screw");
                if (spec.Stud?.Needs is "bar or block")
                    at.Add("box-bar");
                at.Work(entry.Bracket ? "set-box-steel" : "set-box");
                if (spec.Cables.Length > 0)
                {
                    at.Work("make-up");
                    at.Work("make-up-gang", Math.Max(0, spec.Gangs - 1));
                }
            }

            foreach (var splice in BoxSplices.Of(a, box))
            {
                foreach (var (type, count) in Joining.Of(a.Job.Preferences, splice))
                    at.Add(type.School is "green" or "sleeve" ? "ground-join" : "connector", count, type.Id, type.Text);
            }
        }

        if (a.Job.Preferences.RoughTesting != RoughTesting.Live)
            return;
        foreach (var c in a.Circuits)
        {
            if (c.Boxes.FirstOrDefault(b => b.Kind == BoxKind.Light && b.Fixture != LightStyle.Recessed) is { } light)
                t.At(light).Add("lampholder");
        }
    }
}
