using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;
using Circuitum.Formats.Drawings;

namespace Circuitum.Formats.Tests;

/// <summary>Plans can be read: what is measured is the drawing itself, whole storeys as a screen of 1280 by 800 shows them.</summary>
public class LegibilityTests
{
    private const double LeastLetter = 11;
    private const double LeastDimension = 9;

    // A house has fifty walls, each a drawing of its own.
    private const int WallsOfEvery = 5;

    private static readonly PlanStage[] Stages =
    [
        PlanStage.Rooms,
        PlanStage.Boxes,
        PlanStage.Circuits,
        PlanStage.Runs,
        PlanStage.Dimensioned,
    ];

    public static TheoryData<string> Demos =>
        ["tamarack-row.json", "gull-cottage.json", "starters/cabin.json", "starters/bungalow.json", "starters/two-storey.json"];

    [Theory]
    [MemberData(nameof(Demos))]
    public void In_the_demo_houses_no_text_lies_over_anything_at_any_stage_whatever_is_picked(string file)
    {
        var a = Analyzer.Analyze(Planner.PlanAll(JobFileTests.Demo(file)));
        string[] picks =
        [
            "",
            $"room:{a.Job.Rooms[0].Id}",
            $"circuit:{a.Circuits[^1].Number}",
            $"box:{a.Job.Decisions.Boxes[0].Id}",
            .. a.Job.Openings.Take(2).Select(o => $"opening:{o.Id}"),
        ];
        picks.SelectMany(pick => Breaches(a, pick)).ShouldBeEmpty();
        foreach (var room in a.Job.Rooms)
        {
            foreach (var stage in Stages)
                Wrong(PlanComposer.Compose(a, new(room.Storey, stage, Only: room.Id))).ShouldBeEmpty($"{room.Id} {stage}");
        }
    }

    [Fact]
    public void In_300_made_up_houses_no_text_lies_over_anything()
    {
        var found = Enumerable
            .Range(0, 300)
            .AsParallel()
            .AsOrdered()
            .SelectMany(seed =>
            {
                var a = Analyzer.Analyze(Planner.PlanAll(GeneratedHouse.Make(seed)));
                var walls = seed % WallsOfEvery == 0 ? WallsAndPanels(a, cables: seed % (2 * WallsOfEvery) == 0) : [];
                return Breaches(a, "").Concat(walls).Select(b => $"house {seed} {b}");
            })
            .ToList();
        found.ShouldBeEmpty($"{found.Count} in all");
    }

    // Strips as wide as a screen, or as narrow as a ticket with their cables.
    private static IEnumerable<string> WallsAndPanels(JobAnalysis a, bool cables)
    {
        foreach (var room in a.House.Rooms.Where(r => !r.Room.Kind.OpenAir()))
        {
            foreach (var wall in room.Walls)
            {
                var view = cables ? new StripView { Wide = 340, Cables = WallCables.Of(a, room, wall.Index) } : new();
                foreach (var wrong in Wrong(StripComposer.Compose(a, room, wall.Index, view)))
                    yield return $"{room.Room.Id} wall {wall.Index}: {wrong}";
            }
        }

        foreach (var at in a.Panels)
        {
            foreach (var wrong in Wrong(PanelDrawing.Of(a, at.Panel.Id)))
                yield return $"{at.Panel.Id}: {wrong}";
        }
    }

    [Fact]
    public void A_circuit_s_number_that_stands_away_from_its_box_is_tied_to_it()
    {
        const double Away = 24;
        foreach (var seed in Enumerable.Range(0, 40))
        {
            var a = Analyzer.Analyze(Planner.PlanAll(GeneratedHouse.Make(seed)));
            var drawing = PlanComposer.Compose(a, new PlanView(a.Job.Storeys[0].Id, PlanStage.Circuits));
            var plan = new DrawnPlan(drawing);

            // A switch is a letter.
            var marks = plan
                .Symbols.Concat(plan.Texts.Where(t => t.What.StartsWith(nameof(Role.MarkText), StringComparison.Ordinal)))
                .ToList();
            var loose = plan
                .Texts.Where(t => t.At is AnchorShape { Role: Role.Tag } tag && !tag.Shapes.Any(s => s.Role == Role.Leader))
                .Where(t => marks.Min(s => s.Area.To(t.Area)) > Away);
            loose.Select(t => t.What).ShouldBeEmpty($"house {seed}");
        }
    }

    [Fact]
    public void No_circuit_goes_without_its_number_and_few_rooms_without_their_name()
    {
        var (rooms, named) = (0, 0);
        foreach (var seed in Enumerable.Range(0, 40))
        {
            var a = Analyzer.Analyze(Planner.PlanAll(GeneratedHouse.MakeWithShed(seed)));
            foreach (var (storey, among) in Buildings(a))
            {
                var drawing = PlanComposer.Compose(a, new PlanView(storey, PlanStage.Circuits) { Among = among });
                var texts = new DrawnPlan(drawing).Texts.Select(t => t.What).ToHashSet();
                var here = a.Circuits.Where(c => c.Boxes.Any(b => among.Contains(b.Room) && a.House[b.Room].Room.Storey == storey));
                here.Select(c => $"{Role.Tag} {c.Number}").Where(t => !texts.Contains(t)).ShouldBeEmpty($"house {seed} {storey}");
                Wrong(drawing).ShouldBeEmpty($"house {seed} {storey}");
                var names = drawing.Layers.Where(l => l.Key.StartsWith("name-", StringComparison.Ordinal)).ToList();
                rooms += names.Count;
                named += names.Count(l => l.Shapes.Length > 0);
            }
        }

        // A name that finds no place in its room is told where the room fills the sheet.
        ((double)named / rooms).ShouldBeGreaterThan(0.9);
    }

    // Each building of each storey, as the page shows them.
    private static IEnumerable<(string Storey, ImmutableHashSet<string> Among)> Buildings(JobAnalysis a) =>
        from storey in a.Job.Storeys
        from building in a.Job.Rooms.Where(r => r.Storey == storey.Id).Select(r => a.House.BuildingOf(r.Id)).Distinct()
        select (storey.Id, building);

    private static IEnumerable<string> Breaches(JobAnalysis a, string pick) =>
        from storey in a.Job.Storeys
        from stage in Stages
        from wrong in Wrong(PlanComposer.Compose(a, new PlanView(storey.Id, stage, pick)))
        select $"{storey.Id} {stage} {pick}: {wrong}";

    private static ImmutableArray<string> Wrong(Drawing drawing)
    {
        var plan = new DrawnPlan(drawing);
        return
        [
            .. plan.TextsOverTexts,
            .. plan.TextsOverSymbols,
            .. plan
                .Texts.Where(t =>
                    t.Size < (t.What.StartsWith(nameof(Role.DimensionText), StringComparison.Ordinal) ? LeastDimension : LeastLetter)
                )
                .Select(t => $"{t.What} is {t.Size} px"),
        ];
    }
}
