using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Takeoff;

namespace Circuitum.Core.Field;

/// <summary>How a box is made up, step by step: what comes from where, what is joined with what, how it is folded.</summary>
/// <param name="Line">The cable that brings power, in words; empty where none does.</param>
/// <param name="Joints">What meets in it, in the order in which it is joined.</param>
/// <param name="Steps">The steps as sentences.</param>
public sealed record MakeUpGuide(string Line, ImmutableArray<BoxJoint> Joints, ImmutableArray<string> Steps)
{
    /// <summary>The guide for a box; without steps for one that no cable reaches.</summary>
    /// <param name="a">The house.</param>
    /// <param name="box">The box.</param>
    public static MakeUpGuide Of(JobAnalysis a, Box box)
    {
        if (a.CircuitOf(box.Id) is not { } circuit)
            return new("", [], []);
        var cables = circuit.Run.Cables.Where(c => c.To == box.Id || c.From == box.Id).ToList();
        if (cables.Count == 0)
            return new("", [], []);
        var feeds = cables.FirstOrDefault(c => c.To == box.Id && (c.Wires?.Hot ?? true));
        var line = feeds is null ? "" : $"{circuit.CableOf(feeds)} from {feeds.From ?? feeds.Via ?? "the panel"}";
        ImmutableArray<BoxJoint> joints = [.. BoxSplices.Joints(a, box).OrderBy(Rank).ThenBy(j => j.What, StringComparer.Ordinal)];
        var steps = ImmutableArray.CreateBuilder<string>();
        steps.Add(
            line.Length > 0
                ? $"Line is the {line}. Put a turn of tape on it."
                : "No cable brings power of its own: what is hot comes over a switch."
        );
        foreach (var c in cables.Where(c => c != feeds))
            steps.Add($"{circuit.CableOf(c)} {(c.To == box.Id ? $"from {c.From ?? c.Via ?? "the panel"}" : $"to {c.To}")}: {Use(c.Use)}.");
        var units = a.Units;
        steps.Add(
            $"Sheath at least {units.Either("1/4\"", "6 mm")} into the box; at least {units.Either("6\"", "150 mm")} of free conductor, "
                + $"{units.Either("3\"", "75 mm")} of it outside the opening."
        );
        steps.Add(
            $"Strip by the gauge on the back of the device and on the connector, about {units.Either("5/8\"", "16 mm")} on most; no bare "
                + "copper shows after."
        );
        if (circuit.Load.Split && box.Kind == BoxKind.Receptacle)
            steps.Add(
                $"Break out the tab between its hot screws only: {a.Edition.Colours.Lines[0]} on one half, {a.Edition.Colours.Lines[1]} on "
                    + $"the other; the {a.Edition.Colours.Neutral} tab stays, its wire on a pigtail."
            );
        foreach (var j in joints)
            steps.Add(Say(a, circuit, j));
        if (a.Specs[box.Id].Entry is null)
            steps.Add("It brings its own box: join the wires there as its maker says.");
        if (circuit.Protection.In(box.Id) is { } device)
            steps.Add(
                $"{device.Mark}: line terminals take what comes from the panel"
                    + (
                        device.Covers.Any(c => c != box.Id)
                            ? $"; load terminals feed {string.Join(", ", device.Covers.Where(c => c != box.Id))}."
                            : "; nothing on its load terminals."
                    )
            );
        if (cables.Any(c => c.Use == CableUse.SwitchLoop))
            steps.Add("White that carries hot in a switch loop is marked for good at both ends.");
        steps.Add(
            "Fold grounds to the back, then neutrals, then hots, each in long bends; the device last, its screws away from the grounds."
        );
        return new(line, joints, steps.ToImmutable());
    }

    private static int Rank(BoxJoint j) =>
        j.Ground ? 0
        : j.What.StartsWith("neutral", StringComparison.Ordinal) ? 1
        : j.What.Contains("hot", StringComparison.Ordinal) ? 2
        : j.What.StartsWith("switched", StringComparison.Ordinal) ? 3
        : 4;

    private static string Use(CableUse use) =>
        use switch
        {
            CableUse.SwitchLeg => "a switch leg",
            CableUse.TwoSwitchLegs => "two switch legs",
            CableUse.Travelers => "travelers",
            CableUse.SwitchLoop => "a switch loop",
            CableUse.Interconnect => "joins the alarms",
            _ => "power",
        };

    private static string Say(JobAnalysis a, CircuitAnalysis circuit, BoxJoint j)
    {
        var name = $"{char.ToUpperInvariant(j.What[0])}{j.What[1..]}";
        if (j.Splice is not { } splice)
            return j.Terminals + j.Leads == 0 ? $"{name}: fold back, capped." : $"{name}: straight to its terminal.";
        if (splice.Count == 1)
            return $"{name}: ends here, capped.";
        var with = string.Join(
            " and ",
            Joining.Of(a.Job.Preferences, splice).Select(c => c.Count == 1 ? $"a {c.Type.Text}" : $"{c.Count} of {c.Type.Text}")
        );
        var tails =
            j.Terminals > 0 ? $", {j.Terminals} {(j.Terminals == 1 ? "pigtail" : "pigtails")} to the device"
            : j.Leads > 0 ? $", with {j.Leads} {(j.Leads == 1 ? "lead" : "leads")} of what hangs there"
            : "";
        return $"{name}: join {j.Wires} {(j.Wires == 1 ? "wire" : "wires")}{tails}, in {with}.";
    }
}
