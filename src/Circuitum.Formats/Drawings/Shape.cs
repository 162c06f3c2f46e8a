using System.Collections.Immutable;

namespace Circuitum.Formats.Drawings;

/// <summary>A shape of a drawing.</summary>
/// <param name="Role">What it is.</param>
public abstract record Shape(Role Role)
{
    /// <summary>In what state it is, in the words of the style sheets: <c>picked</c>, <c>outdoors rail</c>.</summary>
    public string State { get; init; } = "";

    /// <summary>The pencil it is drawn in, from 1; 0 is ink.</summary>
    public int Pencil { get; init; }

    /// <summary>What the live page knows it by.</summary>
    public ImmutableArray<(string Name, string Value)> Data { get; init; } = [];
}

/// <summary>A line or an outline.</summary>
/// <param name="Role">What it is.</param>
/// <param name="Steps">Its pieces: in inches on the plan, in pixels at an anchor.</param>
public sealed record PathShape(Role Role, ImmutableArray<Step> Steps) : Shape(Role)
{
    /// <summary>How broad the line is in inches, where that is to scale; none for the style sheet's.</summary>
    public double? Breadth { get; init; }

    /// <summary>Whether it is a row of dashes whatever its role.</summary>
    public string Dashes { get; init; } = "";
}

/// <summary>Text at an anchor.</summary>
/// <param name="Role">What it is.</param>
/// <param name="X">Pixels from the anchor to its side.</param>
/// <param name="Y">Pixels from the anchor to the line on which it is written.</param>
/// <param name="Text">The text.</param>
/// <param name="Size">Height of its letters in pixels.</param>
public sealed record TextShape(Role Role, double X, double Y, string Text, double Size) : Shape(Role)
{
    /// <summary>Where it stands against its place.</summary>
    public TextSide Side { get; init; } = TextSide.Middle;

    /// <summary>Whether it is bold.</summary>
    public bool Bold { get; init; }
}

/// <summary>A place of the plan at which shapes keep their size however the plan is scaled.</summary>
/// <param name="Role">What it is.</param>
/// <param name="X">The place, in inches.</param>
/// <param name="Y">The place, in inches.</param>
/// <param name="Shapes">What stands there, in pixels.</param>
public sealed record AnchorShape(Role Role, double X, double Y, ImmutableArray<Shape> Shapes) : Shape(Role)
{
    /// <summary>Degrees that it is turned by.</summary>
    public double Turn { get; init; }

    /// <summary>What it is, for a hand that rests on it.</summary>
    public string Title { get; init; } = "";
}

/// <summary>Shapes that belong together, in inches.</summary>
/// <param name="Role">What they are.</param>
/// <param name="Shapes">The shapes.</param>
public sealed record GroupShape(Role Role, ImmutableArray<Shape> Shapes) : Shape(Role)
{
    /// <summary>Where a page goes when it is clicked; empty for nowhere.</summary>
    public string Link { get; init; } = "";

    /// <summary>What it is, for a hand that rests on it.</summary>
    public string Title { get; init; } = "";
}

/// <summary>A picture.</summary>
/// <param name="Address">Where it is.</param>
/// <param name="At">Its place, in inches.</param>
/// <param name="Strength">How strong it is drawn, 0 to 1.</param>
public sealed record PictureShape(string Address, Area At, double Strength) : Shape(Role.Picture);
