using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Circuits;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Planning;
using Circuitum.Core.Protection;

namespace Circuitum.Core.Review;

/// <summary>Compares what two editions ask for in one house: boxes, protection and fan boxes.</summary>
public static class EditionCompare
{
    /// <summary>The differences, room by room in the job's order.</summary>
    /// <param name="job">A checked job; its own proposals are made afresh for each edition, a person's boxes stay.</param>
    /// <param name="one">An edition's id.</param>
    /// <param name="other">Another's.</param>
    /// <param name="watch">Who may end it; none for nobody.</param>
    /// <exception cref="OperationCanceledException">It was ended.</exception>
    public static ImmutableArray<EditionDifference> Of(Job job, string one, string other, PlanWatch? watch = null)
    {
        var a = Under(job, one, watch);
        var b = Under(job, other, watch);
        var found = ImmutableArray.CreateBuilder<EditionDifference>();
        foreach (var room in job.Rooms)
        {
            foreach (var (what, inOne, inOther) in Pair(Facts(a, room.Id), Facts(b, room.Id)))
            {
                if (inOne != inOther)
                    found.Add(new(room.Name, what, inOne, inOther));
            }
        }

        return found.ToImmutable();
    }

    private static JobAnalysis Under(Job job, string edition, PlanWatch? watch)
    {
        var planned = Planner.PlanAll(
            job with
            {
                CodeEdition = edition,
                Decisions = job.Decisions with
                {
                    Boxes = job.Decisions.Boxes.RemoveAll(b => b.By == Origin.Planner),
                    Circuits = [],
                    Spaces = [],
                },
            }
        );
        watch?.GoOn();
        return Analyzer.Analyze(planned);
    }

    private static IEnumerable<(string What, string One, string Other)> Pair(
        SortedDictionary<string, string> one,
        SortedDictionary<string, string> other
    ) =>
        one
            .Keys.Union(other.Keys)
            .Order(StringComparer.Ordinal)
            .Select(k => (k, one.GetValueOrDefault(k, "none"), other.GetValueOrDefault(k, "none")));

    // What a room has, in lines that can be held against each other.
    private static SortedDictionary<string, string> Facts(JobAnalysis a, string room)
    {
        var facts = new SortedDictionary<string, string>(StringComparer.Ordinal);
        var boxes = a.Job.Decisions.Boxes.Where(b => b.Room == room).ToList();
        foreach (var kind in boxes.GroupBy(KindOf))
            facts[kind.Key] = $"{kind.Count()}";
        foreach (var group in boxes.GroupBy(b => Subject(a, b)))
        {
            Protect(group, ProtectionKind.GroundFault, "ground-fault protection");
            Protect(group, ProtectionKind.ArcFault, "arc-fault protection");
        }

        if (boxes.Count(b => a.Specs[b.Id].FanRated) is > 0 and var fans)
            facts["fan-rated boxes"] = $"{fans}";
        return facts;

        void Protect(IGrouping<string, Box> group, ProtectionKind kind, string words)
        {
            var needing = group.Count(b => a.NeedsOf(b.Id).Any(n => n.Kind == kind));
            if (needing > 0)
                facts[$"{group.Key}: {words}"] = needing == group.Count() ? "needed" : $"needed at {needing}";
        }
    }

    private static string KindOf(Box box) =>
        box.Kind switch
        {
            BoxKind.Receptacle when box.Wall is null => "receptacles on an island",
            BoxKind.Receptacle => "receptacles",
            BoxKind.Provision => "provisions for later",
            BoxKind.SmokeAlarm => "smoke alarms",
            BoxKind.Appliance => "appliance outlets",
            BoxKind.Disconnect => "disconnects and switches of equipment",
            _ => $"{box.Kind.ToString().ToLowerInvariant()}{(box.Kind == BoxKind.Switch ? " boxes" : "s")}",
        };

    private static string Subject(JobAnalysis a, Box box) =>
        a.Job.ApplianceById(box.Appliance) is { } appliance ? ApplianceFacts.Of(a.Job, appliance).Name
        : box.Kind == BoxKind.Receptacle
            ? box.Height >= ReceptacleRules.CounterTop && box.Wall is not null ? "receptacles over the counter"
                : box.Wall is null ? "receptacles on an island"
                : "wall receptacles"
        : KindOf(box);
}
