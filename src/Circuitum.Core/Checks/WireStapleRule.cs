using Circuitum.Core.Analysis;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Checks;

/// <summary>Staples as near as the boxes want them.</summary>
internal sealed class WireStapleRule : CheckedRule
{
    internal override string Id => "wire.staple";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        if (a.Circuits.Length == 0)
            yield break;
        var p = a.Job.Preferences;
        var (most, plain) = FirstStaple.Of(a);
        if (p.StapleFromBox > most)
            yield return Breach(
                a,
                $"The job staples {LengthText.Show(p.StapleFromBox, a.Units)} from a box; {LengthText.Show(most, a.Units)} is the most"
                    + $"{(plain ? " at boxes without clamps" : "")}."
            );
        var every = a.Edition.Number("stapleEveryIn").Length;
        if (p.StapleEvery > every)
            yield return Breach(
                a,
                $"The job staples every {LengthText.Show(p.StapleEvery, a.Units)}; {LengthText.Show(every, a.Units)} is the most."
            );
    }
}
