using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;
using Circuitum.Core.Takeoff;

namespace Circuitum.Formats.Documents;

/// <summary>The paper of what goes into the van, a stage a part, with a box to tick.</summary>
internal static class VanPapers
{
    internal static void Write(PaperDraft s, JobAnalysis a)
    {
        var first = true;
        foreach (var stage in Enum.GetValues<BuyStage>())
        {
            var van = VanList.Of(a, stage);
            if (van.Material.Length == 0)
                continue;
            var word = MaterialWords.Stage(stage);
            s.Part($"Van list, {word}", flows: !first);
            first = false;
            s.Text($"About {van.Hours:0} hours for one person.");
            s.Table(
                [new("Done", 8), new("What", 60), new("How much", 20, true)],
                van.Material.Select(l => new[] { "[  ]", l.Item.Text, l.InWords })
            );
            if (van.Tools.Length > 0)
            {
                s.Heading("Tools");
                s.Table([new("Done", 8), new("Tool", 80)], van.Tools.Select(t => new[] { "[  ]", t }));
            }
        }

        if (!first)
            return;
        s.Part("Van list");
        s.Text("Nothing is needed yet: plan the house first.");
    }
}
