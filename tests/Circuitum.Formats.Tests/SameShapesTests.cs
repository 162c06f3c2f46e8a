using Circuitum.Core.Analysis;
using Circuitum.Core.Planning;
using Circuitum.Core.Review;
using Circuitum.Formats.Drawings;
using Circuitum.Formats.Dxf;
using Circuitum.Formats.Pdf;
using UglyToad.PdfPig;

namespace Circuitum.Formats.Tests;

/// <summary>One drawing on three media: what is written is read out of each again and compared, shape by shape.</summary>
public class SameShapesTests
{
    private const double Near = 0.06;

    [Theory]
    [InlineData("tamarack-row.json")]
    [InlineData("gull-cottage.json")]
    public void Svg_pdf_and_dxf_of_a_storey_hold_the_same_floors_things_wires_and_words(string file)
    {
        var a = Analyzer.Analyze(Planner.PlanAll(JobFileTests.Demo(file)));
        foreach (var storey in a.Job.Storeys)
        {
            var drawing = PlanComposer.Compose(a, new PlanView(storey.Id, PlanStage.Circuits) { AtScale = 1.6 });
            foreach (
                var (role, layer, css) in new[]
                {
                    (Role.Floor, "ROOMS", "floor"),
                    (Role.Thing, "FIXTURES", "thing"),
                    (Role.Wiring, "WIRING", "wiring"),
                }
            )
            {
                var drawn = Paths(drawing, role);
                drawn.ShouldNotBeEmpty();
                Differ(drawn, Svg(drawing, css)).ShouldBeEmpty($"{css} in SVG");
                Differ(drawn, Dxf(a, storey.Id, layer)).ShouldBeEmpty($"{layer} in DXF");
            }

            // What is dashed comes onto paper dash by dash; floors and things come whole.
            var pdf = Pdf(drawing).ToList();
            foreach (var role in new[] { Role.Floor, Role.Thing })
                Bounds(drawing, role).Where(d => !pdf.Exists(p => Close(p, d))).ShouldBeEmpty($"{role} in PDF");

            var words = Documents.DrawingWords.Of(drawing).SelectMany(w => w.Split(' ')).Order(StringComparer.Ordinal).ToList();
            SvgWords(drawing).ShouldBe(words);
            string.Concat(PdfWords(drawing)).ShouldBe(string.Concat(string.Concat(words).Order()));
        }
    }

    // A path by where it begins and ends: into how many pieces a medium breaks a bow does not count.
    private static Area Ends(double x0, double y0, double x1, double y1) => new(x0, y0, x1, y1);

    // Those of the one that have no partner in the other, and the other way round.
    private static List<Area> Differ(List<Area> drawn, List<Area> written)
    {
        var left = written.ToList();
        var alone = drawn.Where(d => !left.Remove(left.Find(w => Close(w, d)))).ToList();
        return [.. alone, .. left];
    }

    private static List<Area> Paths(Drawing drawing, Role role) =>
        [
            .. Shapes(drawing.Layers.SelectMany(l => l.Shapes))
                .OfType<PathShape>()
                .Where(p => p.Role == role)
                .Select(p => p.Steps.Where(s => s.Kind != StepKind.Close).ToList())
                .Select(s => Ends(s[0].X, s[0].Y, s[^1].X, s[^1].Y)),
        ];

    private static IEnumerable<Shape> Shapes(IEnumerable<Shape> shapes) =>
        shapes.SelectMany(s => s is GroupShape group ? Shapes(group.Shapes) : [s]);

    private static List<Area> Svg(Drawing drawing, string css) =>
        [
            .. System
                .Xml.Linq.XDocument.Parse(SvgWriter.Text(drawing))
                .Descendants()
                .Where(e => e.Name.LocalName == "path" && e.Attribute("class")!.Value.Split(' ').Contains(css))
                .Select(e => e.Attribute("d")!.Value.TrimEnd('Z').Split(['M', 'L', 'Q', 'A', ' '], StringSplitOptions.RemoveEmptyEntries))
                .Select(n => n.Select(v => double.Parse(v, System.Globalization.CultureInfo.InvariantCulture)).ToList())
                .Select(n => Ends(n[0], n[1], n[^2], n[^1])),
        ];

    private static List<Area> Dxf(JobAnalysis a, string storey, string layer)
    {
        var read = DxfReader.Read(System.Text.Encoding.UTF8.GetBytes(DxfWriter.Write(a, storey)));
        return
        [
            .. read.Drawing!.Paths.Where(p => p.Layer == layer)
                .Select(p => Ends(p.Points[0].X, -p.Points[0].Y, p.Points[^1].X, -p.Points[^1].Y)),
        ];
    }

    // A page as large as the drawing, a point to an inch, y up.
    private static IEnumerable<Area> Pdf(Drawing drawing)
    {
        using var document = PdfDocument.Open(PdfSheet.Make("x", [drawing]));
        var (e, page) = (drawing.Extent, document.GetPage(1));
        return
        [
            .. page
                .Paths.SelectMany(p => p)
                .Select(p => p.GetBoundingRectangle())
                .Where(r => r.HasValue)
                .Select(r => r!.Value)
                .Select(r => new Area(e.X0 + r.Left, e.Y0 + page.Height - r.Top, e.X0 + r.Right, e.Y0 + page.Height - r.Bottom)),
        ];
    }

    private static IEnumerable<Area> Bounds(Drawing drawing, Role role) =>
        Shapes(drawing.Layers.SelectMany(l => l.Shapes))
            .OfType<PathShape>()
            .Where(p => p.Role == role)
            .Select(p => p.Steps.Where(s => s.Kind != StepKind.Close).ToList())
            .Select(s => new Area(s.Min(p => p.X), s.Min(p => p.Y), s.Max(p => p.X), s.Max(p => p.Y)));

    private static bool Close(Area a, Area b) =>
        Math.Abs(a.X0 - b.X0) < Near && Math.Abs(a.Y0 - b.Y0) < Near && Math.Abs(a.X1 - b.X1) < Near && Math.Abs(a.Y1 - b.Y1) < Near;

    private static List<string> SvgWords(Drawing drawing) =>
        [
            .. System
                .Xml.Linq.XDocument.Parse(SvgWriter.Text(drawing))
                .Descendants()
                .Where(e => e.Name.LocalName == "text")
                .SelectMany(e => e.Value.Split(' '))
                .Order(StringComparer.Ordinal),
        ];

    private static IEnumerable<char> PdfWords(Drawing drawing)
    {
        using var document = PdfDocument.Open(PdfSheet.Make("x", [drawing]));
        return document.GetPage(1).Letters.SelectMany(l => l.Value).Where(c => c != ' ').Order();
    }
}
