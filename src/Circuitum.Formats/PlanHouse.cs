using System.Xml;
using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using static Circuitum.Formats.PlanSvg;

namespace Circuitum.Formats;

/// <summary>Draws what stands before the electrician comes: walls, floors, openings, fixed things, names.</summary>
internal static class PlanHouse
{
    internal static void Draw(PlanSheet sheet, JobAnalysis a, PlanView view, List<RoomShape> rooms)
    {
        var w = sheet.Writer;

        // Walls are what is left between the floors: each room is drawn with a margin in ink, then all floors over it.
        foreach (var room in rooms.Where(r => !r.Room.Kind.OpenAir()))
            sheet.Part($"mass-{room.Room.Id}", () =>
                Shape(w, "polygon", "mass", ("points", Points(room)), ("stroke-width", N(a.Job.Frame.OutsideWall.InInches * 2)))
            );
        Each("floor", room => Floor(w, room, view, a));
        Each("things", room => Things(w, room, a, view));
        Each("walls", room => Walls(w, room, view));
        Each("openings", room => Openings(w, room, a, view));
        Each("name", room => Name(w, room, view.Stage == PlanStage.Rooms));
        sheet.Part("wishes", () =>
        {
            foreach (var wish in a.Job.Wishes.Where(x => rooms.Contains(a.House[x.Room])))
                WishMark(w, wish, view);
        });

        void Each(string layer, Action<RoomShape> draw)
        {
            foreach (var room in rooms)
                sheet.Part($"{layer}-{room.Room.Id}", () => draw(room));
        }
    }

    private static string Points(RoomShape room) => string.Join(" ", room.Room.Outline.Select(p => $"{N(p.X.InInches)},{N(p.Y.InInches)}"));

    private static string Picked(PlanView view, string key) => view.Selected == key ? " picked" : "";

    private static void Floor(XmlWriter w, RoomShape room, PlanView view, JobAnalysis a)
    {
        var key = $"room:{room.Room.Id}";
        var open = room.Room.Kind.OpenAir();
        var traced = view.Pictures.Length > 0 && a.Job.Underlays.Any(u => u.Storey == view.Storey) ? " traced" : "";
        var dark =
            view.Without is not { } without ? ""
            : without.NoPower.Any(r => r.Id == room.Room.Id) ? " unlit dead"
            : without.NoLight.Any(r => r.Id == room.Room.Id) ? " unlit"
            : "";
        Shape(
            w,
            "polygon",
            $"floor{(open ? " outdoors rail" : "")}{traced}{dark}{Picked(view, key)}",
            ("points", Points(room)),
            ("data-pick", key)
        );
    }

    // A wall is drawn by what is left between floors; this is where it is picked and dragged.
    private static void Walls(XmlWriter w, RoomShape room, PlanView view)
    {
        foreach (var wall in room.Walls)
        {
            var key = $"wall:{room.Room.Id}:{wall.Index}";
            var axis =
                Math.Abs(wall.Dx) > 0.99 ? "y"
                : Math.Abs(wall.Dy) > 0.99 ? "x"
                : "n";
            Line(
                w,
                $"wall axis-{axis}{Picked(view, key)}",
                room.On(wall.Index, Length.Zero, -1.5),
                room.On(wall.Index, wall.Length, -1.5),
                ("data-drag", key),
                ("data-axis", axis),
                ("data-at", N(axis == "x" ? wall.A.X.InInches : wall.A.Y.InInches))
            );
        }
    }

    private static void Openings(XmlWriter w, RoomShape room, JobAnalysis a, PlanView view)
    {
        foreach (var o in room.Openings.Where(o => o.Opening.Room == room.Room.Id))
        {
            var key = $"opening:{o.Opening.Id}";
            var thick = Thickness(a, room, o);
            var (p, q) = (room.On(o.Wall, o.From, -thick / 2), room.On(o.Wall, o.To, -thick / 2));
            Line(w, "opening", p, q, ("stroke-width", N(thick + 1.4)));
            switch (o.Opening.Kind)
            {
                case OpeningKind.Window:
                    Line(w, "glass", room.On(o.Wall, o.From, -thick * 0.3), room.On(o.Wall, o.To, -thick * 0.3));
                    Line(w, "glass", room.On(o.Wall, o.From, -thick * 0.7), room.On(o.Wall, o.To, -thick * 0.7));
                    break;
                case OpeningKind.Hinged:
                    Leaf(w, room, o, o.SwingsIn ? 0 : -thick);
                    break;
                case OpeningKind.Pocket:
                    var into = o.Hinge == End.Start ? (o.From - o.Opening.Width, o.From) : (o.To, o.To + o.Opening.Width);
                    Line(
                        w,
                        "glass",
                        room.On(o.Wall, into.Item1, -thick / 2),
                        room.On(o.Wall, into.Item2, -thick / 2),
                        ("stroke-dasharray", "4 3")
                    );
                    break;
                case OpeningKind.Sliding or OpeningKind.GarageDoor:
                    Line(w, "glass", p, q, ("stroke-dasharray", "6 3"));
                    break;
            }

            Line(w, $"hit-line{Picked(view, key)}", p, q, ("data-drag", key));
        }
    }

    private static double Thickness(JobAnalysis a, RoomShape room, RoomOpening o)
    {
        if (o.Beyond is not { } beyond)
            return a.Job.Walls.FirstOrDefault(x => x.Room == room.Room.Id && x.Wall == o.Wall)?.Thickness?.InInches
                ?? a.Job.Frame.OutsideWall.InInches;
        var there = a.House[beyond].Openings.FirstOrDefault(x => x.Opening.Id == o.Opening.Id);
        if (there is null)
            return a.Job.Frame.Partition.InInches;

        // Seen from the other side the jambs may come in the other order: the nearer one is straight across.
        var jamb = a.House[beyond].On(there.Wall, there.From);
        return Math.Max(1, Math.Min(room.On(o.Wall, o.From).InchesTo(jamb), room.On(o.Wall, o.To).InchesTo(jamb)));
    }

    private static void Leaf(XmlWriter w, RoomShape room, RoomOpening o, double face)
    {
        var (hinge, latch) = o.Hinge == End.Start ? (o.From, o.To) : (o.To, o.From);
        var width = o.Opening.Width.InInches;
        var leaf = room.On(o.Wall, hinge, face + (o.SwingsIn ? width : -width));
        var from = room.On(o.Wall, hinge, face);
        var to = room.On(o.Wall, latch, face);
        var cross = ((leaf.X - from.X).InInches * (to.Y - from.Y).InInches) - ((leaf.Y - from.Y).InInches * (to.X - from.X).InInches);
        Shape(
            w,
            "path",
            "leaf",
            (
                "d",
                $"M{N(from.X.InInches)} {N(from.Y.InInches)}L{N(leaf.X.InInches)} {N(leaf.Y.InInches)}A{N(width)} {N(width)} 0 "
                    + $"0 {(cross > 0 ? 1 : 0)} {N(to.X.InInches)} {N(to.Y.InInches)}"
            )
        );
    }

    private static void Things(XmlWriter w, RoomShape room, JobAnalysis a, PlanView view)
    {
        var id = room.Room.Id;
        foreach (var c in a.Job.Counters.Where(c => c.Room == id))
            Rect("counter", $"counter:{c.Id}", c.Spot, null);
        foreach (var f in a.Job.Fixtures.Where(f => f.Room == id))
            Rect(
                f.Kind is FixtureKind.Beam or FixtureKind.Duct or FixtureKind.Post ? "fixture barred" : "fixture",
                $"fixture:{f.Id}",
                f.Spot,
                f.Kind is FixtureKind.Sink or FixtureKind.Basin or FixtureKind.Post ? "" : f.Kind.ToString().ToLowerInvariant()
            );
        foreach (var x in a.Job.Appliances.Where(x => x.Room == id))
            Rect("appliance", $"appliance:{x.Id}", x.Spot, ApplianceFacts.Of(x).Name);

        void Rect(string css, string key, Spot spot, string? text)
        {
            var (west, north, east, south) = Places.Box(room, spot);
            if (east - west < 0.5 || south - north < 0.5)
                return;
            Shape(
                w,
                "rect",
                $"thing {css}{Picked(view, key)}",
                ("x", N(west)),
                ("y", N(north)),
                ("width", N(east - west)),
                ("height", N(south - north)),
                ("data-pick", key),
                ("data-drag", key)
            );
            if (string.IsNullOrEmpty(text) || view.Stage == PlanStage.Dimensioned)
                return;
            var size = Math.Clamp((east - west) / Math.Max(4, text.Length) * 1.7, 3.5, 7);
            Text(w, "small", (west + east) / 2, ((north + south) / 2) + (size / 3), size, text);
        }
    }

    private static void Name(XmlWriter w, RoomShape room, bool sizes)
    {
        var small = room.AreaSqFt < 60 || room.MaxX - room.MinX < Length.Inches(88);
        w.WriteStartElement("g");
        w.WriteAttributeString("transform", $"translate({N(room.Centre.X.InInches)} {N(room.Centre.Y.InInches)})");
        w.WriteStartElement("g");
        if (!small)
            w.WriteAttributeString("class", "words");
        Text(w, "room-name", 0, sizes ? -2 : 16, small ? 7 : 10, room.Room.Name);
        if (sizes)
            Text(
                w,
                "room-size",
                0,
                small ? 6 : 9,
                small ? 6 : 8,
                $"{LengthText.Show(room.MaxX - room.MinX)} x {LengthText.Show(room.MaxY - room.MinY)}"
            );
        w.WriteEndElement();
        w.WriteEndElement();
    }

    // Over the cables, so that a hand that takes hold of it does not take one of the many that meet there.
    internal static void Panel(PlanSheet sheet, JobAnalysis a, List<RoomShape> rooms)
    {
        sheet.Part("panel", () =>
        {
            foreach (var panel in a.Job.Panels.Where(p => rooms.Contains(a.House[p.Room])))
                PanelMark(sheet.Writer, a.House[panel.Room], panel);
        });
    }

    private static void PanelMark(XmlWriter w, RoomShape room, Panel panel)
    {
        var p = room.On(panel.Wall, panel.Along, 2.5);
        var turned = Math.Abs(room.Walls[panel.Wall].Dy) > 0.5;
        var (pw, ph) = turned ? (5.0, 15.0) : (15.0, 5.0);
        Shape(
            w,
            "rect",
            "panel-mark",
            ("x", N(p.X.InInches - (pw / 2))),
            ("y", N(p.Y.InInches - (ph / 2))),
            ("width", N(pw)),
            ("height", N(ph)),
            ("data-pick", $"panel:{panel.Id}"),
            ("data-drag", $"panel:{panel.Id}")
        );
        var q = room.On(panel.Wall, panel.Along, 16);
        Text(w, "small tag", q.X.InInches, q.Y.InInches + 2, 7, panel.FedFrom is null ? "Panel" : panel.Name);
    }

    private static void WishMark(XmlWriter w, Wish wish, PlanView view)
    {
        var key = $"wish:{wish.Id}";
        w.WriteStartElement("g");
        w.WriteAttributeString("class", $"wish{Picked(view, key)}");
        w.WriteAttributeString("transform", $"translate({N(wish.At.X.InInches)} {N(wish.At.Y.InInches)})");
        w.WriteAttributeString("data-pick", key);
        w.WriteAttributeString("data-drag", key);
        Shape(w, "rect", "wish-box", ("x", "-15"), ("y", "-6"), ("width", "30"), ("height", "12"), ("rx", "6"));
        Text(
            w,
            "small",
            0,
            2.4,
            6.5,
            wish.Kind switch
            {
                WishKind.Television => "TV",
                _ => wish.Kind.ToString(),
            }
        );
        if (wish.Note.Length > 0)
            w.WriteElementString("title", wish.Note);
        w.WriteEndElement();
    }
}
