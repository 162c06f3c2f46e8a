using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Commands;
using Circuitum.Core.Edits;
using Circuitum.Web.Stages;

namespace Circuitum.Web.Work;

/// <summary>What the job waits for, one thing at a time, in the order of the work.</summary>
/// <param name="Say">What is to be done.</param>
public sealed record NextStep(string Say)
{
    /// <summary>What the button to it says.</summary>
    public string Go { get; init; } = "";

    /// <summary>The stage in which it is done; empty when one is there already, or when it is a file.</summary>
    public string Stage { get; init; } = "";

    /// <summary>What the button does; none when it leads somewhere.</summary>
    public JobCommand? Edit { get; init; }

    /// <summary>What it leads to when the answer is another one: what it is called, and what is picked then.</summary>
    public (string Say, string Pick)? Else { get; init; }

    /// <summary>The file that can be had now; empty before.</summary>
    public string File { get; init; } = "";

    private const string Packet = "packet.pdf";

    /// <summary>What is next.</summary>
    /// <param name="a">The analysis.</param>
    /// <param name="at">The stage that is looked at; none on the list of jobs.</param>
    public static NextStep Of(JobAnalysis a, Stage? at)
    {
        var must = a.Findings.Count(f => f.Severity == Severity.Must);
        var should = a.Findings.Count(f => f.Severity == Severity.Should);
        return a switch
        {
            _ when a.Job.Rooms.Length == 0 => In("rooms", "the first room: type it, or draw it", "Rooms"),
            _ when a.Job.Decisions.Boxes.Length == 0 => InOneStep(
                $"{a.Edition.Word("boxes")}, circuits, runs and {a.Edition.Word("panel")} in one step"
            ),
            _ when a.Panel is null || a.Circuits.Length == 0 => InOneStep("what is still undecided in one step"),
            _ when a.Findings.Any(IsNew) => new("what is new, planned beside the rest") { Edit = new PlanHouse(), Go = "Plan what is new" },
            _ when must > 0 => In("findings", must == 1 ? "mend what must be" : $"mend {must} that must be", "findings"),
            _ when a.Job.Appliances.Select(x => ApplianceFacts.Of(a.Job, x)).FirstOrDefault(f => f.IsUnread) is { } plate => new(
                $"is the nameplate of {plate.Name} {plate.Load} at {plate.Volts} V?"
            )
            {
                Edit = SetNameplate.AsAssumed(plate),
                Go = "Yes, it says so",
                Else = ("Something else", $"appliance:{plate.Appliance.Id}"),
            },
            _ when should > 0 => In("findings", should == 1 ? "look at one finding" : $"look at {should} findings", "findings") with
            {
                File = Packet,
            },
            _ => new("print the packet for the permit") { File = Packet },
        };

        // What somebody put down after the house was planned: an appliance without its outlet, an outlet without its circuit.
        static bool IsNew(Finding f) => f.Severity == Severity.Must && f.RuleId is "box.appliance" or "circuit.unassigned";

        static NextStep InOneStep(string say) => new(say) { Edit = new PlanHouse(), Go = "Plan the house" };

        NextStep In(string stage, string say, string go) => new(say) { Go = $"Go to {go}", Stage = at?.Id == stage ? "" : stage };
    }
}
