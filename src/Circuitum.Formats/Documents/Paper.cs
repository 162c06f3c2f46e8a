using System.Collections.Immutable;
using Circuitum.Formats.Drawings;

namespace Circuitum.Formats.Documents;

/// <summary>A paper: what stands on it, whatever it is read on. Pages and PDF are written from it, in the same words.</summary>
/// <param name="Title">What it is called.</param>
/// <param name="Parts">Its parts.</param>
public sealed record Paper(string Title, ImmutableArray<PaperPart> Parts)
{
    /// <summary>Begins with a title page that tells what is in it, with the numbers of pages.</summary>
    public bool Contents { get; init; }

    /// <summary>What the title page says of the job.</summary>
    public ImmutableArray<string> Cover { get; init; } = [];

    /// <summary>All its words in their order, as they stand in headings, paragraphs, tables and drawings.</summary>
    public IEnumerable<string> Words => Cover.Concat(Parts.SelectMany(p => p.Blocks.SelectMany(b => b.Words).Prepend(p.Title)));
}

/// <summary>A part of a paper under a heading of its own.</summary>
/// <param name="Title">Its heading.</param>
/// <param name="Blocks">What stands under it.</param>
public sealed record PaperPart(string Title, ImmutableArray<PaperBlock> Blocks)
{
    /// <summary>Goes on where the part before it ends, when there is room for its beginning.</summary>
    public bool Flows { get; init; }

    /// <summary>Its heading is small, for what needs the whole page under it.</summary>
    public bool Small { get; init; }

    /// <summary>The long side of the sheet is below.</summary>
    public bool Turned { get; init; }
}

/// <summary>Something on a paper.</summary>
public abstract record PaperBlock
{
    /// <summary>Its words.</summary>
    public abstract IEnumerable<string> Words { get; }
}

/// <summary>A heading within a part.</summary>
/// <param name="Text">The heading.</param>
public sealed record PaperHeading(string Text) : PaperBlock
{
    /// <inheritdoc/>
    public override IEnumerable<string> Words => [Text];
}

/// <summary>A paragraph.</summary>
/// <param name="Text">The paragraph.</param>
public sealed record PaperText(string Text) : PaperBlock
{
    /// <summary>A caution: it stands out.</summary>
    public bool Caution { get; init; }

    /// <inheritdoc/>
    public override IEnumerable<string> Words => [Text];
}

/// <summary>A table; its head stands again on each page that it goes on to.</summary>
/// <param name="Columns">Its columns.</param>
/// <param name="Rows">Its rows.</param>
public sealed record PaperTable(ImmutableArray<Column> Columns, ImmutableArray<PaperRow> Rows) : PaperBlock
{
    /// <inheritdoc/>
    public override IEnumerable<string> Words => Columns.Select(c => c.Title).Concat(Rows.SelectMany(r => r.Cells.Select(c => c.Text)));
}

/// <summary>A row of a table.</summary>
/// <param name="Cells">Its cells, one for each column.</param>
public sealed record PaperRow(ImmutableArray<PaperCell> Cells)
{
    /// <summary>It sums up those above it.</summary>
    public bool Sum { get; init; }

    /// <summary>How many lines tall it is at least, for what is written in by hand.</summary>
    public int Lines { get; init; } = 1;

    /// <summary>A row of plain texts.</summary>
    public static PaperRow Of(params IEnumerable<string> texts) => new([.. texts.Select(t => new PaperCell(t))]);
}

/// <summary>A cell.</summary>
/// <param name="Text">What it says.</param>
/// <param name="Why">The derivation behind it, which a page can open; empty for none.</param>
public readonly record struct PaperCell(string Text, string Why = "")
{
    /// <summary>A cell of plain text.</summary>
    public static implicit operator PaperCell(string text) => new(text);
}

/// <summary>A drawing.</summary>
/// <param name="Drawing">The drawing.</param>
public sealed record PaperDrawing(Drawing Drawing) : PaperBlock
{
    /// <summary>Points to an inch of it; none fits it to the page.</summary>
    public double? PerInch { get; init; }

    /// <summary>Points to a pixel of what keeps its size, where a scale is stated.</summary>
    public double PerPixel { get; init; } = 1;

    /// <inheritdoc/>
    public override IEnumerable<string> Words => DrawingWords.Of(Drawing);
}

/// <summary>A photograph.</summary>
/// <param name="Caption">What it shows, where and when.</param>
/// <param name="Number">Its number in the job.</param>
/// <param name="Jpeg">Its bytes.</param>
public sealed record PaperPhoto(string Caption, int Number, ReadOnlyMemory<byte> Jpeg) : PaperBlock
{
    /// <inheritdoc/>
    public override IEnumerable<string> Words => [Caption];
}

/// <summary>A column of a table.</summary>
/// <param name="Title">Its heading.</param>
/// <param name="Share">Its part of the width, against the others.</param>
/// <param name="Right">Numbers stand at its right edge.</param>
public readonly record struct Column(string Title, double Share, bool Right = false);
