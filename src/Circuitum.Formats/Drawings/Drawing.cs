using System.Collections.Immutable;

namespace Circuitum.Formats.Drawings;

/// <summary>A drawing as data: what is on the sheet, in the order in which it lies over each other.</summary>
/// <param name="Label">What it shows, for who does not see it.</param>
/// <param name="Extent">What of the plan it shows, in inches.</param>
/// <param name="Scale">Pixels to an inch for which its labels found their places.</param>
/// <param name="Layers">Its parts.</param>
public sealed record Drawing(string Label, Area Extent, double Scale, ImmutableArray<Layer> Layers)
{
    /// <summary>Its class on a page.</summary>
    public string Name { get; init; } = "";

    /// <summary>What the live page knows of it.</summary>
    public ImmutableArray<(string Name, string Value)> Data { get; init; } = [];
}

/// <summary>A part of a drawing that is exchanged as a whole when something in it changes.</summary>
/// <param name="Key">Its name, once in a drawing.</param>
/// <param name="Shapes">What is in it.</param>
public sealed record Layer(string Key, ImmutableArray<Shape> Shapes);
