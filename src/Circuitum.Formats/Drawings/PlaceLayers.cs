using Circuitum.Core.BoxLayout;
using Circuitum.Core.Jobs;

namespace Circuitum.Formats.Drawings;

/// <summary>Panels, wishes, the reach of receptacles and what switches control.</summary>
internal static class PlaceLayers
{
    private const double Size = 11.5;
    private const int PanelRank = 30;

    /// <summary>What the panels of a view cover.</summary>
    internal static IEnumerable<Area> PanelAreas(Composition on) =>
        on.A.Job.Panels.Where(p => on.Rooms.Contains(on.A.House[p.Room])).Select(p => PanelArea(on, p).Move(on.Pixels(PanelAt(on, p))));

    private static Core.Measure.Point PanelAt(Composition on, Panel panel) => on.A.House[panel.Room].On(panel.Wall, panel.Along, 2.5);

    private static Area PanelArea(Composition on, Panel panel) =>
        Math.Abs(on.A.House[panel.Room].Walls[panel.Wall].Dy) > 0.5 ? Area.Around(0, 0, 6, 17) : Area.Around(0, 0, 17, 6);

    // Over the cables, so that a hand that takes hold of it does not take one of the many that meet there.
    internal static void Panels(Composition on)
    {
        on.Layer("panel");
        foreach (var panel in on.A.Job.Panels.Where(p => on.Rooms.Contains(on.A.House[p.Room])))
        {
            var (p, area) = (PanelAt(on, panel), PanelArea(on, panel));
            var (wide, tall) = (area.Wide, area.Tall);
            on.Add(
                "panel",
                new AnchorShape(
                    Role.Panel,
                    p.X.InInches,
                    p.Y.InInches,
                    [new PathShape(Role.Symbol, [.. Step.Rectangle(area)]) { State = "solid" }]
                )
                {
                    Data = [("data-pick", $"panel:{panel.Id}"), ("data-drag", $"panel:{panel.Id}")],
                }
            );
            var (x, y) = on.Pixels(p);
            on.Placer.Block(area.Move(x, y));
            var name = panel.FedFrom is null ? on.A.Edition.Word("Panel") : panel.Name;
            var (w, h) = (TextWidths.Of(name, Size, bold: true) + 3, Size + 2);
            (double X, double Y)[] sides =
            [
                (0, (tall + h) / 2),
                (0, -(tall + h) / 2),
                ((wide + w) / 2, 0),
                (-(wide + w) / 2, 0),
                (0, tall + h),
                (0, -tall - h),
                (wide + w, 0),
            ];
            var places = sides.Select((s, i) => new Candidate(Area.Around(x + (s.X * 1.1), y + (s.Y * 1.1), w, h), i)).ToList();
            on.Label(PanelRank, "panel", places, at =>
                [
                    new AnchorShape(
                        Role.PanelName,
                        p.X.InInches,
                        p.Y.InInches,
                        [
                            new TextShape(
                                Role.PanelName,
                                ((places[at].Area.X0 + places[at].Area.X1) / 2) - x,
                                ((places[at].Area.Y0 + places[at].Area.Y1) / 2) - y + TextWidths.Line(Size),
                                name,
                                Size
                            )
                            {
                                Bold = true,
                            },
                        ]
                    ),
                ]
            );
        }
    }

    internal static void Wishes(Composition on)
    {
        on.Layer("wishes");
        foreach (var wish in on.A.Job.Wishes.Where(x => on.Rooms.Contains(on.A.House[x.Room])))
        {
            var key = $"wish:{wish.Id}";
            var text = wish.Kind == WishKind.Television ? "TV" : wish.Kind.ToString();
            var (wide, tall) = (TextWidths.Of(text, 11) + 12, 17.0);
            var (x, y) = on.Pixels(wish.At);
            on.Placer.Block(Area.Around(x, y, wide, tall));
            on.Add(
                "wishes",
                new AnchorShape(
                    Role.Wish,
                    wish.At.X.InInches,
                    wish.At.Y.InInches,
                    [
                        new PathShape(Role.Wish, [.. Step.Rectangle(Area.Around(0, 0, wide, tall))]) { State = "box" },
                        new TextShape(Role.Wish, 0, TextWidths.Line(11), text, 11),
                    ]
                )
                {
                    State = on.View.Selected == key ? "picked" : "",
                    Title = wish.Note,
                    Data = [("data-pick", key), ("data-drag", key)],
                }
            );
        }
    }

    /// <summary>What the picked switch controls, or by what the picked light is switched: a bowed, broken line as on any plan.</summary>
    internal static void Switching(Composition on)
    {
        on.Layer("switching");
        var a = on.A;
        if (
            Core.Analysis.Subject.TryParse(on.View.Selected) is not { Kind: Core.Analysis.SubjectKind.Box, Id: var id }
            || a.Boxes.GetValueOrDefault(id) is not { } picked
        )
            return;
        var pairs =
            picked.Kind == BoxKind.Switch
                ? picked.Gangs.SelectMany(g => g.Lights).Select(l => (Switch: picked, Light: a.Boxes.GetValueOrDefault(l)))
                : a.Job.Decisions.Boxes.Where(b => b.Gangs.Any(g => g.Lights.Contains(id))).Select(b => (Switch: b, Light: (Box?)picked));
        foreach (var (from, light) in pairs)
        {
            if (light is null || a.House[light.Room].Room.Storey != on.View.Storey || a.House[from.Room].Room.Storey != on.View.Storey)
                continue;
            var (p, q) = (Places.Of(a.House, from), Places.Of(a.House, light));
            var (px, py, qx, qy) = (p.X.InInches, p.Y.InInches, q.X.InInches, q.Y.InInches);
            on.Add(
                "switching",
                new PathShape(
                    Role.Switching,
                    [
                        Step.From(px, py),
                        new(StepKind.Bow, qx, qy, ((px + qx) / 2) + ((qy - py) * 0.18), ((py + qy) / 2) - ((qx - px) * 0.18)),
                    ]
                )
            );
        }
    }
}
