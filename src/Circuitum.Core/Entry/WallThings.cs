using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Planning;

namespace Circuitum.Core.Entry;

/// <summary>What stands along a wall or hangs on it, put there by its word.</summary>
internal static class WallThings
{
    // Its middle is about at the height of the eyes, as utilities ask for.
    private static readonly Length MeterBottom = Length.Inches(54);

    internal const string Panel = "panel";
    internal const string SubPanel = "sub-panel";
    internal const string Counter = "counter";

    /// <summary>Puts a thing into the job; a sentence when its word is none.</summary>
    /// <param name="job">The job.</param>
    /// <param name="sort">Of which sort it is: <c>fixture</c>, <c>appliance</c>, or empty for the first that knows the word.</param>
    /// <param name="what">Its word, such as <c>water-heater</c>.</param>
    /// <param name="room">The room.</param>
    /// <param name="spot">Its place; for a panel where its middle is.</param>
    internal static (Job? Job, string Problem) Put(Job job, string sort, string what, string room, Spot spot)
    {
        switch (what)
        {
            case Counter:
                var counter = new Counter
                {
                    Id = Names.Free(what, job.Counters.Select(c => c.Id)),
                    Room = room,
                    Spot = spot,
                };
                return (job with { Counters = job.Counters.Add(counter) }, "");
            case Panel:
                return (WithPanel(job, room, spot), "");
            case SubPanel:
                return WithSubPanel(job, room, spot);
        }

        if (sort is "" or "fixture" && FixtureOf(what) is { } kind)
        {
            var fixture = new Fixture
            {
                Id = Names.Free(what, job.Fixtures.Select(f => f.Id)),
                Kind = kind,
                Room = room,
                Spot = spot,
                Bottom = kind == FixtureKind.Meter ? MeterBottom : null,
            };
            return (job with { Fixtures = job.Fixtures.Add(fixture) }, "");
        }

        if (sort is not ("" or "appliance") || !CodeLibrary.Appliances.ContainsKey(what))
            return (null, $"'{what}' is not something that can be put on a wall.");
        var appliance = new Appliance
        {
            Id = Names.Free(what, job.Appliances.Select(a => a.Id)),
            Type = what,
            Room = room,
            Spot = spot,
        };
        return (job with { Appliances = job.Appliances.Add(appliance) }, "");
    }

    /// <summary>The kind of fixture that a word is, or none.</summary>
    internal static FixtureKind? FixtureOf(string word) =>
        Enum.TryParse<FixtureKind>(word.Replace("-", "", StringComparison.Ordinal), true, out var kind) && !int.TryParse(word, out _)
            ? kind
            : null;

    /// <summary>How large a thing of a word usually is; nothing for a panel.</summary>
    internal static (Length Wide, Length Deep) SizeOf(string word) =>
        CodeLibrary.Appliances.TryGetValue(word, out var type) ? ThingSizes.Of(type)
        : FixtureOf(word) is { } kind ? ThingSizes.Of(kind)
        : word == Counter ? (ThingSizes.CounterPiece, ThingSizes.CounterDepth)
        : (Length.Zero, ThingSizes.CounterDepth);

    // The panel at the service is one: put down again it moves.
    private static Job WithPanel(Job job, string room, Spot spot)
    {
        var edition = CodeLibrary.EditionOf(job);
        var top = Length.Min(job.Preferences.PanelTop, edition.HighestPanelTop);
        var main = job.Panels is [var there, ..]
            ? there
            : OtherRules.Rehung(
                new()
                {
                    Id = "main",
                    Name = $"Main {edition.Word("panel")}",
                    Top = top,
                },
                edition
            );
        main = main with { Room = room, Wall = spot.Wall!.Value, Along = spot.From };
        return job with { Panels = job.Panels is [] ? [main] : job.Panels.SetItem(0, main) };
    }

    private static (Job? Job, string Problem) WithSubPanel(Job job, string room, Spot spot)
    {
        if (job.Panels is not [var main, ..])
            return (null, "Put the panel at the service on a wall first.");
        if (job.RoomById(room) is not { } known)
            return (null, "That room is not there any more.");
        var edition = CodeLibrary.EditionOf(job);
        var sub = new Panel
        {
            Id = Names.Free("sub", job.Panels.Select(p => p.Id)),
            Name = $"{known.Name} {edition.Word("panel")}",
            Room = room,
            Wall = spot.Wall!.Value,
            Along = spot.From,
            Top = Length.Min(job.Preferences.PanelTop, edition.HighestPanelTop),
            FedFrom = main.Id,
            MainBreaker = 100,
            Spaces = 20,
            BreakerFamily = main.BreakerFamily,
        };
        return (job with { Panels = job.Panels.Add(OtherRules.Rehung(sub, edition)) }, "");
    }
}
