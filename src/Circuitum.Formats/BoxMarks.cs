using System.Globalization;
using System.Xml;
using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;

namespace Circuitum.Formats;

/// <summary>The standard plan symbols of boxes, with circuit numbers where they are asked for.</summary>
internal static class BoxMarks
{
    internal static void Draw(PlanSheet sheet, JobAnalysis a, PlanView view, List<RoomShape> rooms)
    {
        var byRoom = a.Job.Decisions.Boxes.ToLookup(b => b.Room);
        var wrong = a
            .Findings.Where(f => f.Severity == Severity.Must && f.RuleId != "circuit.unassigned")
            .SelectMany(f => f.Subjects)
            .ToHashSet();
        foreach (var shape in rooms)
            sheet.Part($"marks-{shape.Room.Id}", () => Room(sheet.Writer, a, view, shape, byRoom[shape.Room.Id], wrong));
    }

    private static void Room(XmlWriter w, JobAnalysis a, PlanView view, RoomShape shape, IEnumerable<Box> boxes, HashSet<Subject> subjects)
    {
        foreach (var box in boxes)
        {
            var at = box.Wall is { } wall
                ? shape.On(wall, box.Along, box.Outside ? -a.Job.Frame.OutsideWall.InInches - 7.5 : 7.5)
                : Places.Of(a.House, box);
            var (x, y) = (at.X.InInches, at.Y.InInches);
            var circuit = a.CircuitOf(box.Id);
            var picked = view.Selected == $"box:{box.Id}" || (circuit is not null && view.Selected == $"circuit:{circuit.Number}");
            var wrong = subjects.Contains(Subject.Box(box.Id));
            w.WriteStartElement("g");
            w.WriteAttributeString(
                "class",
                $"mark by-{box.By.ToString().ToLowerInvariant()}{(picked ? " picked" : "")}{(wrong ? " wrong" : "")}"
                    + $"{(view.Without?.Dead.Contains(box.Id) == true ? " dead" : "")}"
            );
            w.WriteAttributeString("data-pick", $"box:{box.Id}");
            w.WriteAttributeString("data-box", box.Id);
            if (a.CircuitOf(box.Id) is { } on)
                w.WriteAttributeString("data-circuit-of", on.Number.ToString(CultureInfo.InvariantCulture));
            w.WriteAttributeString("transform", $"translate({PlanSvg.N(x)} {PlanSvg.N(y)})");
            w.WriteElementString(
                "title",
                $"{Word(box.Kind)} {box.Id}, {shape.Room.Name}{(circuit is null ? "" : $", circuit {circuit.Number}")}"
            );

            // The inner group grows when the plan is drawn small, so that a symbol stays a symbol.
            w.WriteStartElement("g");
            w.WriteAttributeString("class", "glyph");
            PlanSvg.Shape(w, "circle", "hit", ("r", "9"));
            if (view.Changed?.Contains(box.Id) == true)
                PlanSvg.Shape(w, "circle", "changed", ("r", "10"));
            Symbol(w, a, box, 0, 0);
            if (view.Stage == PlanStage.Circuits && circuit is not null)
                Tag(w, box, shape, circuit.Number, 0, 0);
            if (view.Without?.Dead.Contains(box.Id) == true)
                PlanSvg.Shape(w, "path", "off", ("d", "M-7 -7L7 7M7 -7L-7 7"));
            if (wrong)
                PlanSvg.Text(w, "tag stop", 7, -5, 9, "!");
            if (box.Held is not null)
                PlanSvg.Text(w, "tag held", -8, -5, 8, "H");
            w.WriteEndElement();
            w.WriteEndElement();
        }
    }

    internal static string Word(BoxKind kind) =>
        kind switch
        {
            BoxKind.SmokeAlarm => "Smoke alarm",
            BoxKind.Disconnect => "Disconnect or switch of equipment",
            _ => kind.ToString(),
        };

    private static void Symbol(XmlWriter w, JobAnalysis a, Box box, double x, double y)
    {
        switch (box.Kind)
        {
            case BoxKind.Switch:
                var ways = a.Specs[box.Id].Ways.Select(n => n == 1 ? "S" : $"S{n}").ToList();
                PlanSvg.Text(
                    w,
                    "switch tag",
                    x,
                    y + 3,
                    8,
                    ways.Count == 0 ? "S" : string.Join(" ", ways.Distinct()) + (ways.Count > 1 ? $" ({ways.Count})" : "")
                );
                return;
            case BoxKind.Receptacle:
                // The standard marks: a bar for each device, one for a single.
                Circle(4.2);
                double[] bars = box.Style switch
                {
                    ReceptacleStyle.Single => [0],
                    ReceptacleStyle.Quad => [-2.7, -0.9, 0.9, 2.7],
                    _ => [-1.4, 1.4],
                };
                PlanSvg.Shape(w, "path", "box line", ("d", string.Concat(bars.Select(b => $"M{PlanSvg.N(x + b)} {PlanSvg.N(y - 6)}v12"))));
                return;
            case BoxKind.Light when box.Fixture == LightStyle.Recessed:
                Circle(4.4);
                PlanSvg.Shape(w, "circle", "box", ("cx", PlanSvg.N(x)), ("cy", PlanSvg.N(y)), ("r", "1.9"));
                return;
            case BoxKind.Light when box.Fixture == LightStyle.Fan:
                Circle(4.6);
                PlanSvg.Text(w, "small tag", x, y + 2.2, 6, "F");
                return;
            case BoxKind.Light:
                Circle(4.6);
                PlanSvg.Shape(w, "path", "box line", ("d", $"M{PlanSvg.N(x - 7)} {PlanSvg.N(y)}h14M{PlanSvg.N(x)} {PlanSvg.N(y - 7)}v14"));
                return;
            case BoxKind.SmokeAlarm:
                Circle(5);
                PlanSvg.Text(w, "small tag", x, y + 2.2, 6, box.CarbonMonoxide ? "CO" : "SA");
                return;
            case BoxKind.Disconnect:
                PlanSvg.Shape(w, "rect", "box", ("x", PlanSvg.N(x - 5)), ("y", PlanSvg.N(y - 4)), ("width", "10"), ("height", "8"));
                PlanSvg.Text(w, "small tag", x, y + 2.2, 6, "DS");
                return;
            case BoxKind.Provision:
                PlanSvg.Shape(w, "rect", "box", ("x", PlanSvg.N(x - 4)), ("y", PlanSvg.N(y - 4)), ("width", "8"), ("height", "8"));
                PlanSvg.Text(w, "small tag", x, y + 2.2, 6, "P");
                return;
            default:
                var volts = a.Job.ApplianceById(box.Appliance) is { } appliance
                    ? ApplianceFacts.Of(appliance).Volts
                    : CodeLibrary.Supply.ToNeutral;
                Circle(4.6);
                PlanSvg.Text(w, "small tag", x, y + 2, 4.6, volts.ToString(CultureInfo.InvariantCulture));
                return;
        }

        void Circle(double r) => PlanSvg.Shape(w, "circle", "box", ("cx", PlanSvg.N(x)), ("cy", PlanSvg.N(y)), ("r", PlanSvg.N(r)));
    }

    private static void Tag(XmlWriter w, Box box, RoomShape shape, int number, double x, double y)
    {
        var (dx, dy) = (0.0, -9.0);
        if (box.Wall is { } wall)
        {
            dx = shape.InX(shape.Walls[wall]) * 11;
            dy = shape.InY(shape.Walls[wall]) * 11;
        }

        PlanSvg.Text(w, "circuit-tag tag", x + dx, y + dy + 3, 8, number.ToString(CultureInfo.InvariantCulture));
    }
}
