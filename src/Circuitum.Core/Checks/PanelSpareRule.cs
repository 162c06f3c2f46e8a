using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Checks;

/// <summary>Spaces that the job wants to keep free.</summary>
internal sealed class PanelSpareRule : CheckedRule
{
    internal override string Id => "panel.spare";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a)
    {
        if (a.Circuits.Length == 0)
            yield break;
        var p = a.Job.Preferences;
        foreach (var at in a.Panels)
        {
            var spare = at.Panel.Spaces - at.SpacesUsed;
            var (enough, wanted) = p.SpareSpaces is { } count
                ? (spare >= count, $"{count}")
                : (spare * 100 >= at.Panel.Spaces * p.SparePercent, $"{p.SparePercent} percent");
            if (!enough)
                yield return Breach(
                    a,
                    $"{spare} of {at.Panel.Spaces} spaces{(a.Panels.Length == 1 ? "" : $" of {at.Panel.Name}")} are free; the job wants "
                        + $"{wanted}: a panel of {Enough(p, at.SpacesUsed)} spaces or more.",
                    Subject.Panel(at.Panel.Id)
                );
        }
    }

    // Panels have as many spaces on the left as on the right.
    private static int Enough(Preferences p, int used)
    {
        var least = p.SpareSpaces is { } count ? used + count : (int)Math.Ceiling(used * 100.0 / (100 - p.SparePercent));
        return least + (least % 2);
    }
}
