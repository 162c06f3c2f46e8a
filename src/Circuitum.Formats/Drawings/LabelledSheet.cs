using System.Collections.Immutable;
using Circuitum.Core.Measure;

namespace Circuitum.Formats.Drawings;

/// <summary>A drawing while it is composed: its layers so far, and the labels that still look for a place.</summary>
/// <param name="extent">What it shows, in inches.</param>
/// <param name="scale">Pixels to an inch.</param>
internal class LabelledSheet(Area extent, double scale)
{
    private readonly Dictionary<string, ImmutableArray<Shape>.Builder> layers = [];
    private readonly List<string> order = [];
    private readonly List<(int Rank, string Layer, ImmutableArray<Candidate> Candidates, Func<int, IEnumerable<Shape>> Draw)> labels = [];

    /// <summary>Pixels to an inch.</summary>
    internal double Scale => scale;

    /// <summary>What is shown, in inches.</summary>
    internal Area Extent => extent;

    /// <summary>The same in pixels.</summary>
    internal Area Sheet => new(extent.X0 * scale, extent.Y0 * scale, extent.X1 * scale, extent.Y1 * scale);

    internal LabelPlacer Placer { get; } = new();

    internal (double X, double Y) Pixels(Point p) => (p.X.InInches * Scale, p.Y.InInches * Scale);

    /// <summary>Begins a layer, so that it lies over those begun before it.</summary>
    internal void Layer(string key)
    {
        if (layers.TryAdd(key, ImmutableArray.CreateBuilder<Shape>()))
            order.Add(key);
    }

    internal void Add(string layer, params IEnumerable<Shape> shapes)
    {
        Layer(layer);
        layers[layer].AddRange(shapes);
    }

    /// <summary>Asks for a label; where none of its places is free it is left out.</summary>
    /// <param name="rank">The lower, the earlier it chooses.</param>
    /// <param name="layer">The layer it is drawn in.</param>
    /// <param name="candidates">Its places, in pixels; what is outside the sheet is not taken.</param>
    /// <param name="draw">Draws it at one of them.</param>
    internal void Label(int rank, string layer, IEnumerable<Candidate> candidates, Func<int, IEnumerable<Shape>> draw)
    {
        Layer(layer);
        labels.Add((rank, layer, [.. candidates], draw));
    }

    internal Drawing Done(string label)
    {
        var asked = labels.OrderBy(l => l.Rank).ToList();

        // What lies beyond the edge of the sheet is as good as taken.
        foreach (var edge in Edges())
            Placer.Block(edge);
        var taken = Placer.Place([.. asked.Select(l => l.Candidates)]);
        for (var i = 0; i < asked.Count; i++)
        {
            if (taken[i] >= 0)
                Add(asked[i].Layer, asked[i].Draw(taken[i]));
        }

        return new(label, Extent, Scale, [.. order.Select(key => new Layer(key, layers[key].ToImmutable()))]);
    }

    private IEnumerable<Area> Edges()
    {
        const double Broad = 200;
        yield return new(Sheet.X0 - Broad, Sheet.Y0 - Broad, Sheet.X1 + Broad, Sheet.Y0);
        yield return new(Sheet.X0 - Broad, Sheet.Y1, Sheet.X1 + Broad, Sheet.Y1 + Broad);
        yield return new(Sheet.X0 - Broad, Sheet.Y0, Sheet.X0, Sheet.Y1);
        yield return new(Sheet.X1, Sheet.Y0, Sheet.X1 + Broad, Sheet.Y1);
    }
}
