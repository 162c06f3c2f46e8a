using System.Globalization;
using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;

namespace Circuitum.Formats.Drawings;

/// <summary>The boxes of a storey with their symbols, drawn apart where they would lie over each other.</summary>
internal static class BoxLayers
{
    // Inches from the face of the wall to the middle of a symbol, where the scale lets it stand clear.
    private const double OffWall = 7.5;
    private const double Gap = 1.5;
    private const double HitRadius = 12;

    /// <summary>The boxes with their symbols and the places of these in pixels.</summary>
    internal static List<PlacedMark> Place(Composition on)
    {
        var byRoom = on.A.Job.Decisions.Boxes.ToLookup(b => b.Room);
        var rooms = on.View.Only.Length == 0 ? on.Rooms : [on.A.House[on.View.Only]];
        var marks = rooms.SelectMany(room => byRoom[room.Room.Id].Select(box => At(on, room, box))).ToList();
        Spread.Apart(marks, [.. PlaceLayers.PanelAreas(on)]);
        foreach (var mark in marks)
            on.Placer.Block(mark.Area.Grow(0.5));
        return marks;
    }

    internal static void Compose(Composition on, List<PlacedMark> marks, Pencils pencils)
    {
        var wrong = on
            .A.Findings.Where(f => f.Severity == Severity.Must && f.RuleId != "circuit.unassigned")
            .SelectMany(f => f.Subjects)
            .ToHashSet();
        foreach (var room in on.View.Only.Length == 0 ? on.Rooms : [on.A.House[on.View.Only]])
            on.Layer($"marks-{room.Room.Id}");
        foreach (var mark in marks)
            on.Add($"marks-{mark.Room.Room.Id}", Draw(on, mark, pencils, wrong.Contains(Subject.Box(mark.Box.Id))));
    }

    private static PlacedMark At(Composition on, RoomShape room, Box box)
    {
        var symbol = Symbols.Of(on.A, box);
        if (box.Wall is not { } wall)
            return new(room, box, symbol, Places.Of(on.A.House, box), (0, 0), null, on.Scale);
        var outside = box.Outside ? on.A.Job.Frame.OutsideWall.InInches : 0;
        var anchor = room.On(wall, box.Along, box.Outside ? -outside - OffWall : OffWall);
        var own = room.Walls[wall];
        var (inX, inY) = (room.InX(own) * (box.Outside ? -1 : 1), room.InY(own) * (box.Outside ? -1 : 1));
        var half = ((Math.Abs(inX) * symbol.Wide) + (Math.Abs(inY) * symbol.Tall)) / 2;
        var more = Math.Max(0, half + Gap - (OffWall * on.Scale));
        return new(room, box, symbol, anchor, (inX * more, inY * more), (inX, inY), on.Scale);
    }

    private static AnchorShape Draw(Composition on, PlacedMark mark, Pencils pencils, bool wrong)
    {
        var (a, view, box) = (on.A, on.View, mark.Box);
        var circuit = a.CircuitOf(box.Id);
        var picked = view.Selected == $"box:{box.Id}" || (circuit is not null && view.Selected == $"circuit:{circuit.Number}");
        var dead = view.Without?.Dead.Contains(box.Id) == true;
        var (x, y) = mark.Shift;
        var pencil = view.Stage == PlanStage.Circuits ? pencils.Of(circuit) : 0;
        var faint = view.Stage == PlanStage.Circuits && Highlight.Of(on) is { } only && circuit?.Number != only;
        var shapes = new List<Shape> { new PathShape(Role.Hit, [.. Step.Circle(0, 0, HitRadius)]) };
        if (view.Changed?.Contains(box.Id) == true)
            shapes.Add(new PathShape(Role.Changed, [.. Step.Circle(0, 0, HitRadius)]));
        shapes.AddRange(mark.Symbol.Shapes.Select(s => s with { Pencil = pencil }));
        if (dead)
            shapes.Add(new PathShape(Role.Off, [Step.From(-8, -8), Step.To(8, 8), Step.From(8, -8), Step.To(-8, 8)]));
        if (wrong)
            shapes.Add(new PathShape(Role.Badge, [.. Step.Ring([(7, -12), (12, -3), (2, -3)])]));
        if (box.Held is not null)
            shapes.Add(new PathShape(Role.HeldBadge, [.. Step.Rectangle(Area.Around(-8, -8, 6, 6))]));
        return new(Role.Mark, mark.Anchor.X.InInches, mark.Anchor.Y.InInches, [new AnchorShape(Role.Symbol, x, y, [.. shapes])])
        {
            State = string.Join(
                ' ',
                new[]
                {
                    $"by-{box.By.ToString().ToLowerInvariant()}",
                    picked ? "picked" : "",
                    wrong ? "wrong" : "",
                    dead ? "dead" : "",
                    faint ? "faint" : "",
                }.Where(s => s.Length > 0)
            ),
            Title = $"{Word(box.Kind)} {box.Id}, {mark.Room.Room.Name}{(circuit is null ? "" : $", circuit {circuit.Number}")}",
            Data =
            [
                ("data-pick", $"box:{box.Id}"),
                ("data-box", box.Id),
                .. circuit is null ? [] : new[] { ("data-circuit-of", circuit.Number.ToString(CultureInfo.InvariantCulture)) },
            ],
        };
    }

    /// <summary>What a kind of box is called.</summary>
    internal static string Word(BoxKind kind) =>
        kind switch
        {
            BoxKind.SmokeAlarm => "Smoke alarm",
            BoxKind.Disconnect => "Disconnect or switch of equipment",
            _ => kind.ToString(),
        };
}
