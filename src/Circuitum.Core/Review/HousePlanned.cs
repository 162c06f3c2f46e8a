using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Review;

/// <summary>What was decided when a house was planned in one step, and what only a person can say.</summary>
public static class HousePlanned
{
    /// <summary>The decisions, each with what it is about; questions to a person stand out.</summary>
    /// <param name="before">The job before.</param>
    /// <param name="after">The job planned.</param>
    public static ImmutableArray<Consequence> Of(JobAnalysis before, JobAnalysis after)
    {
        var list = ImmutableArray.CreateBuilder<Consequence>();
        if (before.Job.Panels.Length == 0 && after.Job.Panels is [var panel, ..])
            list.Add(new(Subject.Panel(panel.Id), $"{Hung(after, panel)} Drag it where it shall hang instead.", true));
        var words = after.Edition;
        if (words.InForce("service.meter") && after.Job.Fixtures.All(f => f.Kind != FixtureKind.Meter))
            list.Add(
                new(
                    null,
                    "Where is the meter? Put it on its outside wall in Rooms, under Electrical: the service comes in there, and the panel "
                        + "or a disconnect belongs as near to it as can be.",
                    true
                )
            );
        var boxes = after.Job.Decisions.Boxes.Length - before.Job.Decisions.Boxes.Length;
        list.Add(new(null, $"{boxes} {words.Word("boxes")} are proposed. Accept, move or refuse them one by one.", false));
        list.Add(
            new(
                null,
                $"{after.Circuits.Length} circuits on {after.SpacesUsed} {words.Word("spaces")}, "
                    + $"{LengthText.Far(after.CableFeet, after.Units, "#,0")} of cable with their {words.Word("home run")}s.",
                false
            )
        );
        list.AddRange(
            after
                .Job.Appliances.Select(x => ApplianceFacts.Of(after.Job, x))
                .Where(f => f.IsUnread)
                .Select(f => new Consequence(
                    Subject.Appliance(f.Appliance.Id),
                    $"{f.Name}: is it {f.Load} at {f.Volts} V? Its nameplate decides wire and breaker.",
                    true
                ))
        );
        return list.ToImmutable();
    }

    private static string Hung(JobAnalysis a, Panel panel)
    {
        var room = a.House[panel.Room];
        var outside = WallBody.Of(a.House, room, panel.Wall).Outside ? "an outside wall" : "an inside wall";
        return $"The {a.Edition.Word("panel")} hangs on the {LabelWriter.Facing(room, panel.Wall)} wall of {room.Room.Name}: "
            + $"{outside} with {a.Edition.Number("workingWidthIn")} by {a.Edition.Number("workingDepthIn")} free to work at it.";
    }
}
