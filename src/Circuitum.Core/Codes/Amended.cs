using System.Collections.Immutable;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Codes;

/// <summary>Lays local amendments over an edition.</summary>
public static class Amended
{
    /// <summary>The id of the rule that a layer's change adds: <c>local.</c>, the layer's place and the change's place.</summary>
    public static string AddedId(int layer, int change) => $"local.{layer + 1}-{change + 1}";

    /// <summary>Whether an edition has a number to change: one of a family that has rules of its own goes with a rule in force.</summary>
    public static bool HasNumber(CodeEdition edition, string name) =>
        edition.Numbers.ContainsKey(name)
        && CodeLibrary.Numbers.TryGetValue(name, out var meaning)
        && (edition.Board is null || edition.InForce(meaning.Rule));

    /// <summary>Whether all that a layer changes means something under an edition.</summary>
    /// <param name="edition">The edition.</param>
    /// <param name="layer">The layer.</param>
    public static bool Fits(CodeEdition edition, AmendmentLayer layer) =>
        layer.Changes.All(c =>
            c.Kind switch
            {
                AmendmentKind.Number => HasNumber(edition, c.Target) && edition.Rules.ContainsKey(CodeLibrary.Numbers[c.Target].Rule),
                AmendmentKind.Rule or AmendmentKind.Off => edition.InForce(c.Target),
                _ => edition.Board is null || c.Demand is not { Kind: LocalDemandKind.GroundFault or LocalDemandKind.ArcFault },
            }
        );

    /// <summary>The edition as the layers leave it. A layer that is off changes nothing.</summary>
    /// <param name="edition">The edition as published.</param>
    /// <param name="layers">Layers that have passed the rules of the document.</param>
    public static CodeEdition Lay(CodeEdition edition, ImmutableArray<AmendmentLayer> layers)
    {
        for (var l = 0; l < layers.Length; l++)
        {
            var layer = layers[l];
            if (!layer.On)
                continue;
            edition = edition with { Layers = edition.Layers.Add(layer.Name) };
            for (var c = 0; c < layer.Changes.Length; c++)
                edition = Lay(edition, layer, layer.Changes[c], AddedId(l, c));
        }

        return edition;
    }

    private static CodeEdition Lay(CodeEdition edition, AmendmentLayer layer, Amendment change, string addedId)
    {
        switch (change.Kind)
        {
            case AmendmentKind.Number:
                // A number that the edition leaves open has a rule that is not in force until somebody gives it a value.
                var rule = CodeLibrary.Numbers[change.Target].Rule;
                return Change(
                    edition with
                    {
                        Numbers = edition.Numbers.SetItem(change.Target, change.Value ?? edition.Number(change.Target)),
                    },
                    rule,
                    r => r with { Applies = r.Applies || r.Cite == Rule.NoCite }
                );
            case AmendmentKind.Rule:
                return Change(edition, change.Target, r =>
                    r with
                    {
                        Severity = change.Severity ?? r.Severity,
                        Title = change.Title.Length > 0 ? change.Title : r.Title,
                        Text = change.Text.Length > 0 ? change.Text : r.Text,
                    }
                );
            case AmendmentKind.Off:
                return Change(edition, change.Target, r => r with { Applies = false });
            default:
                var added = new Rule
                {
                    Title = change.Title,
                    Text = change.Text,
                    Severity = change.Severity ?? "must",
                    Cite = Local(layer, change),
                    Amended = layer.Name,
                };
                return edition with
                {
                    Rules = edition.Rules.SetItem(addedId, added),
                    Demands = edition.Demands.SetItem(addedId, change.Demand ?? new()),
                };
        }

        CodeEdition Change(CodeEdition e, string id, Func<Rule, Rule> how) =>
            e with
            {
                Rules = e.Rules.SetItem(
                    id,
                    how(e.Rules[id]) with
                    {
                        Amended = layer.Name,
                        Cite = e.Cite(id) == Rule.NoCite ? Local(layer, change) : $"{e.Cite(id)}; {Local(layer, change)}",
                    }
                ),
            };
    }

    private static string Local(AmendmentLayer layer, Amendment change) =>
        change.Citation.Length > 0 ? $"{layer.Name}, {change.Citation}" : layer.Name;
}
