using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Intake;

// What stands on walls and in rooms.
public static partial class JobRules
{
    private static void CheckOpenings(Job job, Dictionary<string, RoomShape> shapes, List<Problem> problems)
    {
        var held = new List<(string Room, int Wall, Length From, Length To, string Field)>();
        foreach (var (opening, i) in job.Openings.Select((o, i) => (o, i)))
        {
            var field = $"openings[{i}]";
            if (!shapes.TryGetValue(opening.Room, out var shape))
            {
                problems.Add(new($"{field}.room", $"There is no room '{Short(opening.Room)}'."));
                continue;
            }

            if (!OnWall(field, shape, job.Units, opening.Wall, opening.From, opening.Width, problems))
                continue;
            held.Add((opening.Room, opening.Wall, opening.From, opening.From + opening.Width, field));
            if (opening.To == Opening.Outside)
                continue;
            if (!shapes.TryGetValue(opening.To, out var beyond))
                problems.Add(
                    new($"{field}.to", $"There is no room '{Short(opening.To)}'; an opening to the open air leads to \"outside\".")
                );
            else if (beyond.Room.Storey != shape.Room.Storey)
                problems.Add(new($"{field}.to", $"{Short(beyond.Room.Name)} is on another storey."));
            else if (HouseShape.Mirror(opening, shape, beyond) is { } other)
                held.Add((opening.To, other.Wall, other.From, other.To, field));
            else
                problems.Add(
                    new(
                        $"{field}.to",
                        $"{Short(beyond.Room.Name)} has no wall right behind this opening. Move the opening or one of the two rooms."
                    )
                );
        }

        foreach (var wall in held.GroupBy(h => (h.Room, h.Wall)))
        {
            var inOrder = wall.OrderBy(h => h.From).ToList();
            for (var n = 1; n < inOrder.Count; n++)
            {
                if (inOrder[n].From < inOrder[n - 1].To)
                    problems.Add(
                        new(
                            $"{inOrder[n].Field}.from",
                            $"It overlaps the opening at {LengthText.Show(inOrder[n - 1].From, job.Units)} on the same wall of "
                                + $"{Short(shapes[wall.Key.Room].Room.Name)}."
                        )
                    );
            }
        }
    }

    private static void CheckThings(Job job, Dictionary<string, RoomShape> shapes, List<Problem> problems)
    {
        foreach (var (counter, i) in job.Counters.Select((c, i) => (c, i)).Where(c => c.c.Peninsula && c.c.Spot.Wall is null))
            problems.Add(new($"counters[{i}].peninsula", "A peninsula stands out from a wall; one that stands free is an island."));
        foreach (var (counter, i) in job.Counters.Select((c, i) => (c, i)))
            CheckSpot($"counters[{i}]", counter.Room, counter.Spot, shapes, job.Units, problems);
        foreach (var (fixture, i) in job.Fixtures.Select((f, i) => (f, i)))
            CheckSpot($"fixtures[{i}]", fixture.Room, fixture.Spot, shapes, job.Units, problems);
        // An edition that is not there is refused by itself.
        var supply = (CodeLibrary.Editions.GetValueOrDefault(job.CodeEdition) ?? CodeLibrary.Newest).Supply;
        foreach (var (appliance, i) in job.Appliances.Select((a, i) => (a, i)))
        {
            var field = $"appliances[{i}]";
            CheckSpot(field, appliance.Room, appliance.Spot, shapes, job.Units, problems);
            Text($"{field}.name", appliance.Name, LongestName, problems);
            if (!CodeLibrary.Appliances.ContainsKey(appliance.Type))
                problems.Add(
                    new(
                        $"{field}.type",
                        $"'{Short(appliance.Type)}' is not in the appliance library. Use one of: "
                            + $"{string.Join(", ", CodeLibrary.Appliances.Keys.Order())}."
                    )
                );
            var plate = appliance.Nameplate;
            if (plate.Volts is { } volts && volts != supply.ToNeutral && volts != supply.Between)
                problems.Add(
                    new(
                        $"{field}.nameplate.volts",
                        $"A dwelling appliance is {supply.ToNeutral} or {supply.Between} V, not {volts}."
                            + (
                                CodeLibrary
                                    .EditionIds.Select(CodeLibrary.Edition)
                                    .FirstOrDefault(e => e.Supply.ToNeutral == volts || e.Supply.Between == volts)
                                    is { } other
                                    ? $" {volts} V is of {other.Name}: a house comes under other rules as a copy that is planned anew."
                                    : ""
                            )
                    )
                );
            if (plate.VoltAmperes is { } va && va is not (>= 1 and <= 60_000))
                problems.Add(new($"{field}.nameplate.voltAmperes", "A load lies between 1 and 60,000 VA."));
            if (plate.Amperes is { } amps && amps is not (>= 0.05 and <= 250))
                problems.Add(new($"{field}.nameplate.amperes", "A rated current lies between 0.05 and 250 A."));
            if (plate.MinimumCircuitAmpacity is { } mca && mca is not (>= 0.5 and <= 200))
                problems.Add(new($"{field}.nameplate.minimumCircuitAmpacity", "A minimum circuit ampacity lies between 0.5 and 200 A."));
            if (plate.MaximumBreaker is { } most && most is < 10 or > 200)
                problems.Add(new($"{field}.nameplate.maximumBreaker", "A maximum breaker lies between 10 and 200 A."));
        }

        foreach (var (panel, i) in job.Panels.Select((p, i) => (p, i)))
        {
            var field = $"panels[{i}]";
            Text($"{field}.name", panel.Name, LongestName, problems);
            Text($"{field}.breakerFamily", panel.BreakerFamily, LongestName, problems);
            Range($"{field}.spaces", panel.Spaces, 4, 84, problems);
            if (panel.Spaces % 2 != 0)
                problems.Add(new($"{field}.spaces", "A panel has an even number of spaces."));
            if (panel.TandemSpaces.Any(s => s < 1 || s > 84))
                problems.Add(new($"{field}.tandemSpaces", "Spaces lie between 1 and 84."));
            Count($"{field}.tandemSpaces", panel.TandemSpaces.Length, 84, problems);
            CheckSections(field, panel, problems);
            Count($"{field}.alsoTakes", panel.AlsoTakes.Length, MostFamilies, problems);
            foreach (var family in panel.AlsoTakes.Take(MostFamilies))
                Text($"{field}.alsoTakes", family, LongestName, problems);
            Range($"{field}.cardWide", panel.CardWide, Length.Inches(3), Length.Inches(7), problems);
            Range($"{field}.cardTall", panel.CardTall, Length.Inches(4), Length.Inches(9), problems);
            Range($"{field}.mainBreaker", panel.MainBreaker, 30, 400, problems);
            Range($"{field}.top", panel.Top, Length.Feet(3), Length.Feet(8), problems);
            if (panel.FeederBreaker is { } feeder && feeder is < 15 or > 400)
                problems.Add(new($"{field}.feederBreaker", "A feeder's breaker lies between 15 and 400 A."));
            if (panel.LoopOhm is { } loop && loop is not (>= 0.01 and <= 200))
                problems.Add(new($"{field}.loopOhm", "The earth fault loop at a board lies between 0.01 and 200 ohm."));
            if (i == 0 && panel.FedFrom is not null)
                problems.Add(new($"{field}.fedFrom", "The first panel is the one at the service."));
            if (i > 0 && job.Panels.Take(i).All(p => p.Id != panel.FedFrom))
                problems.Add(new($"{field}.fedFrom", "Say which panel feeds it; that panel comes before it in the list."));
            if (!shapes.TryGetValue(panel.Room, out var shape))
                problems.Add(new($"{field}.room", $"There is no room '{Short(panel.Room)}'."));
            else
                OnWall(field, shape, job.Units, panel.Wall, panel.Along, Length.Zero, problems, "along");
        }
    }

    private static void CheckSections(string field, Panel panel, List<Problem> problems)
    {
        if (panel.Sections is not { } sections)
            return;
        if (sections.IsDefault || sections.Any(s => s is null))
        {
            problems.Add(new($"{field}.sections", "A section has a residual current and its ways."));
            return;
        }

        Count($"{field}.sections", sections.Length, MostSections, problems);
        foreach (var (section, i) in sections.Take(MostSections).Select((s, i) => (s, i)))
        {
            Range($"{field}.sections[{i}].milliamps", section.Milliamps, 10, 500, problems);
            Range($"{field}.sections[{i}].ways", section.Ways, 1, 28, problems);
        }
    }

    private const int MostSections = 12;

    private static void CheckSpot(
        string field,
        string room,
        Spot spot,
        Dictionary<string, RoomShape> shapes,
        LengthUnits units,
        List<Problem> problems
    )
    {
        if (!shapes.TryGetValue(room, out var shape))
        {
            problems.Add(new($"{field}.room", $"There is no room '{Short(room)}'."));
            return;
        }

        Range($"{field}.spot.depth", spot.Depth, Length.Zero, Length.Feet(40), problems);
        if (spot.Wall is { } wall)
            OnWall($"{field}.spot", shape, units, wall, spot.From, spot.Width, problems);
        else if (spot.At is { } at)
        {
            Range($"{field}.spot.width", spot.Width, Length.Zero, Length.Feet(60), problems);
            if (at.X < shape.MinX || at.Y < shape.MinY || at.X + spot.Width > shape.MaxX || at.Y + spot.Depth > shape.MaxY)
                problems.Add(new($"{field}.spot.at", $"It does not stand inside {Short(shape.Room.Name)}."));
        }
        else
            problems.Add(new($"{field}.spot", "Say where it stands: a wall and a distance, or a place on the floor."));
    }

    internal static bool OnWall(
        string field,
        RoomShape shape,
        LengthUnits units,
        int wall,
        Length from,
        Length width,
        List<Problem> problems,
        string fromName = "from"
    )
    {
        var name = Short(shape.Room.Name);
        if (wall < 0 || wall >= shape.Walls.Length)
            problems.Add(new($"{field}.wall", $"{name} has walls 0 to {shape.Walls.Length - 1}; there is no wall {wall}."));
        else if (from < Length.Zero)
            problems.Add(new($"{field}.{fromName}", $"{LengthText.Show(from, units)} is before the wall's corner. Use zero or more."));
        else if (width < Length.Zero)
            problems.Add(new($"{field}.width", "A width cannot be negative."));
        else if (from + width > shape.Walls[wall].Length + Length.Inches(0.125))
            problems.Add(
                new(
                    $"{field}.{fromName}",
                    $"It runs off its wall: "
                        + $"{LengthText.Show(from, units)}{(width > Length.Zero ? $" + {LengthText.Show(width, units)}" : "")} "
                        + $"on a wall of {LengthText.Show(shape.Walls[wall].Length, units)} in {name}."
                )
            );
        else
            return true;
        return false;
    }
}
