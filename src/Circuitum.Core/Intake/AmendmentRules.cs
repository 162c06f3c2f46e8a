using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Intake;

/// <summary>What an amendment layer must be before it is laid over an edition.</summary>
public static class AmendmentRules
{
    /// <summary>Most layers on a job.</summary>
    public const int MostLayers = 12;

    /// <summary>Most changes in a layer.</summary>
    public const int MostChanges = 200;

    private static readonly string[] Severities = ["must", "should", "note"];

    internal static void Check(Job job, List<Problem> problems)
    {
        if (job.Amendments.Length > MostLayers)
            problems.Add(new("amendments", $"There are {job.Amendments.Length} layers; the most is {MostLayers}."));
        if (!CodeLibrary.Editions.TryGetValue(job.CodeEdition, out var edition))
            return;
        for (var i = 0; i < Math.Min(job.Amendments.Length, MostLayers); i++)
            Check(job.Amendments[i], edition, $"amendments[{i}]", problems);
    }

    /// <summary>What is wrong with a layer.</summary>
    /// <param name="layer">The layer.</param>
    /// <param name="edition">The edition that it is laid over.</param>
    /// <param name="at">How the field is named in sentences.</param>
    /// <param name="problems">Takes what is found.</param>
    public static void Check(AmendmentLayer layer, CodeEdition edition, string at, List<Problem> problems)
    {
        if (string.IsNullOrWhiteSpace(layer.Name))
            problems.Add(new($"{at}.name", "Give the layer a name."));
        JobRules.Text($"{at}.name", layer.Name, JobRules.LongestName, problems);
        JobRules.Text($"{at}.authority", layer.Authority, JobRules.LongestName, problems);
        if (layer.Changes.Length > MostChanges)
        {
            problems.Add(new($"{at}.changes", $"There are {layer.Changes.Length} changes; the most is {MostChanges}."));
            return;
        }

        for (var i = 0; i < layer.Changes.Length; i++)
            Check(layer.Changes[i], edition, $"{at}.changes[{i}]", problems);
    }

    private static void Check(Amendment change, CodeEdition edition, string at, List<Problem> problems)
    {
        JobRules.Text($"{at}.title", change.Title, JobRules.LongestName, problems);
        JobRules.Text($"{at}.text", change.Text, 600, problems);
        JobRules.Text($"{at}.citation", change.Citation, JobRules.LongestName, problems);
        JobRules.Text($"{at}.note", change.Note, 600, problems);
        if (string.IsNullOrWhiteSpace(change.Citation))
            problems.Add(new($"{at}.citation", "Say where it is written."));
        if (change.Severity is { } severity && !Severities.Contains(severity))
            problems.Add(new($"{at}.severity", $"'{JobRules.Short(severity)}' is no grade; use must, should or note."));
        switch (change.Kind)
        {
            case AmendmentKind.Number when !Amended.HasNumber(edition, change.Target):
                problems.Add(new($"{at}.target", $"There is no number '{JobRules.Short(change.Target)}' in the edition."));
                break;
            case AmendmentKind.Number:
                var number = CodeLibrary.Numbers[change.Target];
                if (change.Value is not { } value || !double.IsFinite(value) || value < number.Least || value > number.Most)
                    problems.Add(
                        new(
                            $"{at}.value",
                            $"{number.Title}: type a number from {number.Least} to {number.Most}"
                                + $"{(number.Unit.Length > 0 ? $" {number.Unit}" : "")}."
                        )
                    );
                else if (number.Unit == "AWG" && value is not (10 or 12 or 14))
                    problems.Add(new($"{at}.value", $"{number.Title}: 14, 12 or 10 AWG."));
                break;
            case AmendmentKind.Rule or AmendmentKind.Off when !edition.Rules.ContainsKey(change.Target):
                problems.Add(new($"{at}.target", $"There is no rule '{JobRules.Short(change.Target)}' in the edition."));
                break;
            case AmendmentKind.Add:
                if (string.IsNullOrWhiteSpace(change.Title) || string.IsNullOrWhiteSpace(change.Text))
                    problems.Add(new($"{at}.title", "Give the new rule a title and say what it asks."));
                Check(change.Demand ?? new(), $"{at}.demand", problems);
                break;
        }
    }

    private static void Check(LocalDemand demand, string at, List<Problem> problems)
    {
        if (demand.Kind is LocalDemandKind.Boxes or LocalDemandKind.GroundFault or LocalDemandKind.ArcFault && demand.Room is null)
            problems.Add(new($"{at}.room", "Say which kind of room it is about."));
        if (demand.Kind == LocalDemandKind.Boxes && demand.Box is null)
            problems.Add(new($"{at}.box", "Say which kind of box it asks for."));
        if (demand.Kind == LocalDemandKind.Boxes)
            JobRules.Range($"{at}.least", demand.Least, 1, 50, problems);
        if (
            demand.Kind == LocalDemandKind.OwnCircuit
            && (demand.Appliance is null || !CodeLibrary.Appliances.ContainsKey(demand.Appliance))
        )
            problems.Add(new($"{at}.appliance", "Say which appliance it is about, by its type."));
    }
}
