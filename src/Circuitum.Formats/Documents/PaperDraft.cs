using System.Collections.Immutable;
using Circuitum.Formats.Drawings;

namespace Circuitum.Formats.Documents;

/// <summary>A paper while it is written, from above down.</summary>
internal sealed class PaperDraft(CancellationToken cancel = default)
{
    private readonly List<(PaperPart Head, List<PaperBlock> Blocks)> parts = [];

    /// <summary>Begins a part.</summary>
    internal PaperDraft Part(string title, bool flows = false, bool turned = false, bool small = false)
    {
        cancel.ThrowIfCancellationRequested();
        parts.Add(
            (
                new(title, [])
                {
                    Flows = flows,
                    Turned = turned,
                    Small = small,
                },
                []
            )
        );
        return this;
    }

    internal void Heading(string text) => Add(new PaperHeading(text));

    internal void Text(string text) => Add(new PaperText(text));

    internal void Caution(string text) => Add(new PaperText(text) { Caution = true });

    internal void Table(IEnumerable<Column> columns, IEnumerable<PaperRow> rows) => Add(new PaperTable([.. columns], [.. rows]));

    internal void Table(IEnumerable<Column> columns, IEnumerable<string[]> rows) => Table(columns, rows.Select(r => PaperRow.Of(r)));

    internal void Photo(string caption, int number, ReadOnlyMemory<byte> jpeg) => Add(new PaperPhoto(caption, number, jpeg));

    internal void Draw(Drawing drawing) => Add(new PaperDrawing(drawing));

    internal void Draw(Drawing drawing, double perInch, double perPixel) =>
        Add(new PaperDrawing(drawing) { PerInch = perInch, PerPixel = perPixel });

    internal ImmutableArray<PaperPart> Done() => [.. parts.Select(p => p.Head with { Blocks = [.. p.Blocks] })];

    private void Add(PaperBlock block) => parts[^1].Blocks.Add(block);
}
