using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Intake;

/// <summary>The part of <see cref="JobRules"/> that looks at the decisions.</summary>
internal static class DecisionRules
{
    // Nobody reads more wishes than this, and each is weighed with every circuit that may be.
    private const int MostPins = 100;

    internal static void Check(Job job, Dictionary<string, RoomShape> shapes, List<Problem> problems)
    {
        var boxes = job.Decisions.Boxes.ToDictionary(b => b.Id);
        for (var i = 0; i < job.Decisions.Boxes.Length; i++)
            CheckBox(job, job.Decisions.Boxes[i], $"decisions.boxes[{i}]", boxes, shapes, problems);
        CheckCircuits(job, boxes, problems);
        CheckSpaces(job, problems);
        CheckPairs(job, problems);
        CheckPins(job, problems);
        CheckPulled(job, boxes, problems);
        CheckWays(job, problems);
        CheckOutside(job, problems);
    }

    private static void CheckOutside(Job job, List<Problem> problems)
    {
        const int Most = 200,
            MostBends = 24;
        if (job.Decisions.Outside.Length > Most)
            problems.Add(new("decisions.outside", $"{Most} runs outside at most."));
        var seen = new HashSet<string>();
        for (var i = 0; i < Math.Min(Most, job.Decisions.Outside.Length); i++)
        {
            var (run, field) = (job.Decisions.Outside[i], $"decisions.outside[{i}]");
            JobRules.Text($"{field}.to", run.To, JobRules.LongestName, problems);
            if (!seen.Add(run.To))
                problems.Add(new(field, $"The run to '{JobRules.Short(run.To)}' is there twice."));
            if (run.Depth is { } depth)
                JobRules.Range($"{field}.depth", depth, Length.Zero, Length.Feet(10), problems);
            if (run.Bends is not { } bends)
                continue;
            if (bends.Length > MostBends)
                problems.Add(new($"{field}.bends", $"{MostBends} bends at most."));
            if (bends.Any(b => b is < 0 or > 180))
                problems.Add(new($"{field}.bends", "A bend has 1 to 180 degrees; 0 is a pull point."));
        }
    }

    private static void CheckPulled(Job job, Dictionary<string, Box> boxes, List<Problem> problems)
    {
        var seen = new HashSet<int>();
        for (var i = 0; i < job.Decisions.Pulled.Length; i++)
        {
            var (run, field) = (job.Decisions.Pulled[i], $"decisions.pulled[{i}]");
            if (job.Decisions.Circuits.All(c => c.Number != run.Circuit))
                problems.Add(new($"{field}.circuit", $"There is no circuit {run.Circuit}."));
            else if (!seen.Add(run.Circuit))
                problems.Add(new($"{field}.circuit", $"The home run of circuit {run.Circuit} is there twice."));
            if (!boxes.ContainsKey(run.To))
                problems.Add(new($"{field}.to", $"There is no box '{JobRules.Short(run.To)}'."));
            JobRules.Text($"{field}.cable", run.Cable, 20, problems);
            if (run.Reel is { } reel && job.Stock?.Reels.Any(r => r.Id == reel) != true)
                problems.Add(new($"{field}.reel", $"There is no reel '{JobRules.Short(reel)}'."));
            if (run.Measured is { } measured)
                JobRules.Range($"{field}.measured", measured, Length.Feet(1), Length.Feet(2000), problems);
        }
    }

    // A way whose cable is gone waits for its return, so its boxes need not be there.
    private static void CheckWays(Job job, List<Problem> problems)
    {
        const int Most = 2000;
        if (job.Decisions.Ways.Length > Most)
            problems.Add(new("decisions.ways", $"{Most} ways of cable at most."));
        var seen = new HashSet<(string?, string)>();
        for (var i = 0; i < job.Decisions.Ways.Length; i++)
        {
            var (way, field) = (job.Decisions.Ways[i], $"decisions.ways[{i}]");
            JobRules.Text($"{field}.from", way.From, JobRules.LongestName, problems);
            JobRules.Text($"{field}.to", way.To, JobRules.LongestName, problems);
            if (job.StoreyById(way.Storey) is null)
                problems.Add(new($"{field}.storey", $"There is no storey '{JobRules.Short(way.Storey)}'."));
            foreach (var (axis, value) in new[] { ("x", way.Over.X), ("y", way.Over.Y) })
                JobRules.Range($"{field}.over.{axis}", value, Length.Feet(-1000), Length.Feet(1000), problems);
            if (!seen.Add((way.From, way.To)))
                problems.Add(new(field, "That cable is led two ways."));
        }

        foreach (var (circuit, i) in job.Decisions.Circuits.Select((c, i) => (c, i)).Where(x => x.c.Run is { Length: > 400 }))
            problems.Add(new($"decisions.circuits[{i}].run", "400 locked cables at most."));
    }

    private static void CheckPairs(Job job, List<Problem> problems)
    {
        var paired = new HashSet<int>();
        var numbers = job.Decisions.Circuits.Select(c => c.Number).ToHashSet();
        for (var i = 0; i < job.Decisions.Pairs.Length; i++)
        {
            var pair = job.Decisions.Pairs[i];
            foreach (var (field, number) in new[] { ("first", pair.First), ("second", pair.Second) })
            {
                if (!numbers.Contains(number))
                    problems.Add(new($"decisions.pairs[{i}].{field}", $"There is no circuit {number}."));
                else if (!paired.Add(number))
                    problems.Add(new($"decisions.pairs[{i}].{field}", $"Circuit {number} shares a home run already."));
            }
        }
    }

    private static void CheckPins(Job job, List<Problem> problems)
    {
        if (job.Decisions.Pins.Length > MostPins)
            problems.Add(new("decisions.pins", $"There are {job.Decisions.Pins.Length:#,0}; a job holds {MostPins} pins of rooms."));
        foreach (var (pin, i) in job.Decisions.Pins.Take(MostPins).Select((p, i) => (p, i)))
        {
            var field = $"decisions.pins[{i}]";
            if (job.RoomById(pin.Room) is null)
                problems.Add(new($"{field}.room", $"There is no room '{JobRules.Short(pin.Room)}'."));
            if (pin.Of is not (CircuitPurpose.Lighting or CircuitPurpose.Receptacles or CircuitPurpose.Mixed))
                problems.Add(new($"{field}.of", "A pin is about lighting, receptacles or both mixed."));
            if (pin.Kind == PinKind.Alone && pin.Other is not null)
                problems.Add(new($"{field}.other", "A room that is kept alone has no other room."));
            if (pin.Kind == PinKind.Alone)
                continue;
            if (pin.Other is not { } other || job.RoomById(other) is null)
                problems.Add(new($"{field}.other", $"There is no room '{JobRules.Short(pin.Other ?? "")}'."));
            else if (other == pin.Room)
                problems.Add(new($"{field}.other", "Name two different rooms."));
        }
    }

    private static void CheckBox(
        Job job,
        Box box,
        string field,
        Dictionary<string, Box> boxes,
        Dictionary<string, RoomShape> shapes,
        List<Problem> problems
    )
    {
        if (!shapes.TryGetValue(box.Room, out var shape))
        {
            problems.Add(new($"{field}.room", $"There is no room '{JobRules.Short(box.Room)}'."));
            return;
        }

        JobRules.Range($"{field}.height", box.Height, Length.Zero, Length.Feet(40), problems);
        if (box.VoltAmperes is { } va && va is not (>= 0 and <= 20_000))
            problems.Add(new($"{field}.voltAmperes", "A planned load lies between 0 and 20,000 VA."));
        if (box.Appliance is { } appliance && job.ApplianceById(appliance) is null)
            problems.Add(new($"{field}.appliance", $"There is no appliance '{JobRules.Short(appliance)}'."));
        if (box.Kind == BoxKind.Appliance && box.Appliance is null)
            problems.Add(new($"{field}.appliance", "Say which appliance this outlet feeds."));
        if (box.Serves is { } served && job.ApplianceById(served) is null)
            problems.Add(new($"{field}.serves", $"There is no appliance '{JobRules.Short(served)}'."));
        if ((box.Kind == BoxKind.Disconnect) != (box.Serves is not null))
            problems.Add(new($"{field}.serves", "A disconnect says which appliance it cuts off, and nothing else does."));
        if (box.Wall is { } wall)
            JobRules.OnWall(field, shape, job.Units, wall, box.Along, Length.Zero, problems, "along");
        else if (box.At is null)
            problems.Add(new(field, "Say where the box is: a wall and a distance, or a place."));
        else if (box.At is { } at && (at.X < shape.MinX || at.X > shape.MaxX || at.Y < shape.MinY || at.Y > shape.MaxY))
            problems.Add(new($"{field}.at", $"It does not lie in {JobRules.Short(shape.Room.Name)}."));
        if (box.Outside && (box.Wall is null || shape.Room.Kind.OpenAir()))
            problems.Add(new($"{field}.outside", "Only a box on a wall of a room that is inside can stand on the outer face."));
        if (box.Size is { } size && !CodeLibrary.Boxes.ContainsKey(size))
            problems.Add(
                new(
                    $"{field}.size",
                    $"'{JobRules.Short(size)}' is not in the box catalogue. Use one of: "
                        + $"{string.Join(", ", CodeLibrary.Boxes.Keys.Order())}."
                )
            );
        if (box.Rating is { } rating && rating is not (15 or 20 or 30 or 50))
            problems.Add(new($"{field}.rating", "A receptacle is rated 15, 20, 30 or 50 A."));
        if (box.Held is { } held)
        {
            if (string.IsNullOrWhiteSpace(held.WaitsFor))
                problems.Add(new($"{field}.held.waitsFor", "Say what the box waits for."));
            JobRules.Text($"{field}.held.waitsFor", held.WaitsFor, JobRules.LongestName, problems);
            JobRules.Text($"{field}.held.ask", held.Ask, JobRules.LongestName, problems);
            JobRules.Range($"{field}.held.slack", held.Slack, Length.Zero, Length.Feet(20), problems);
            if (box.State == BoxState.Final)
                problems.Add(new($"{field}.state", "A held box is not final: release it first."));
        }

        if (box.Gangs.Length > 8)
            problems.Add(new($"{field}.gangs", "A switch box has 8 gangs at most."));
        for (var g = 0; g < box.Gangs.Length; g++)
        {
            JobRules.Range($"{field}.gangs[{g}].locations", box.Gangs[g].Locations, 1, 10, problems);
            if (!Enum.IsDefined(box.Gangs[g].Control))
                problems.Add(new($"{field}.gangs[{g}].control", "There is no such control."));
            foreach (var light in box.Gangs[g].Lights)
            {
                if (!boxes.TryGetValue(light, out var target) || target.Kind is not (BoxKind.Light or BoxKind.Appliance))
                    problems.Add(new($"{field}.gangs[{g}].lights", $"There is no light '{JobRules.Short(light)}'."));
            }
        }
    }

    // More than ever hung on one breaker; the work on a circuit grows with the square of them.
    private const int MostOnCircuit = 100;

    private static void CheckCircuits(Job job, Dictionary<string, Box> boxes, List<Problem> problems)
    {
        var numbers = new HashSet<int>();
        var taken = new Dictionary<string, int>();
        for (var i = 0; i < job.Decisions.Circuits.Length; i++)
        {
            var circuit = job.Decisions.Circuits[i];
            var field = $"decisions.circuits[{i}]";
            JobRules.Range($"{field}.number", circuit.Number, 1, 999, problems);
            if (!numbers.Add(circuit.Number))
                problems.Add(new($"{field}.number", $"Circuit {circuit.Number} is there twice."));
            JobRules.Text($"{field}.label", circuit.Label, JobRules.LongestName, problems);
            if (circuit.Breaker is { } rating)
                JobRules.Range($"{field}.breaker", rating, 10, 200, problems);
            if (circuit.First is { } first && !boxes.ContainsKey(first))
                problems.Add(new($"{field}.first", $"There is no box '{JobRules.Short(first)}'."));
            foreach (var (key, value) in circuit.Preferences ?? ImmutableSortedDictionary<string, string>.Empty)
            {
                if (PreferenceFields.Find(key) is not { PerCircuit: true } preference)
                    problems.Add(new($"{field}.preferences", $"'{JobRules.Short(key)}' is no preference of a single circuit."));
                else if (preference.Write(job.Preferences, value).Problem is { Length: > 0 } wrong)
                    problems.Add(new($"{field}.preferences.{key}", wrong));
            }

            if (circuit.Boxes.Length > MostOnCircuit)
                problems.Add(
                    new($"{field}.boxes", $"There are {circuit.Boxes.Length:#,0} boxes; a circuit holds {MostOnCircuit} at most.")
                );
            foreach (var member in circuit.Boxes)
            {
                if (boxes.TryGetValue(member.Box, out var there) && there.Serves is not null)
                    problems.Add(new($"{field}.boxes", $"'{member.Box}' is on its appliance's circuit and on none by itself."));
                else if (!boxes.ContainsKey(member.Box))
                    problems.Add(new($"{field}.boxes", $"There is no box '{JobRules.Short(member.Box)}'."));
                else if (!taken.TryAdd(member.Box, circuit.Number))
                    problems.Add(new($"{field}.boxes", $"Box '{member.Box}' is on circuit {taken[member.Box]} already."));
            }
        }
    }

    private static void CheckSpaces(Job job, List<Problem> problems)
    {
        var placed = new HashSet<int>();
        var numbers = job.Decisions.Circuits.Select(c => c.Number).ToHashSet();
        for (var i = 0; i < job.Decisions.Spaces.Length; i++)
        {
            var space = job.Decisions.Spaces[i];
            var field = $"decisions.spaces[{i}]";
            var panel = job.Panels.FirstOrDefault(p => p.Id == space.Panel);
            if (panel is null)
                problems.Add(new($"{field}.panel", $"There is no panel '{JobRules.Short(space.Panel)}'."));
            else
                JobRules.Range($"{field}.space", space.Space, 1, panel.Spaces, problems);
            if (space.Half is not (TandemHalf.Whole or TandemHalf.Upper or TandemHalf.Lower))
                problems.Add(new($"{field}.half", "A half is the upper or the lower one."));
            if (space.Family is { } family)
                JobRules.Text($"{field}.family", family, JobRules.LongestName, problems);
            if (space.Feeds is { } feeds)
            {
                if (job.Panels.All(p => p.Id != feeds || p.FedFrom != space.Panel))
                    problems.Add(new($"{field}.feeds", $"Panel '{JobRules.Short(feeds)}' is not fed from there."));
                if (space.Circuit != 0)
                    problems.Add(new($"{field}.circuit", "The breaker of a feeder has no circuit number."));
            }
            else if (!numbers.Contains(space.Circuit))
                problems.Add(new($"{field}.circuit", $"There is no circuit {space.Circuit}."));
            else if (!placed.Add(space.Circuit))
                problems.Add(new($"{field}.circuit", $"Circuit {space.Circuit} has two places."));
        }
    }
}
