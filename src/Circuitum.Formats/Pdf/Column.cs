namespace Circuitum.Formats.Pdf;

/// <summary>A column of a table.</summary>
/// <param name="Title">Its heading.</param>
/// <param name="Share">Its part of the width, against the others.</param>
/// <param name="Right">Numbers stand at its right edge.</param>
public readonly record struct Column(string Title, double Share, bool Right = false);
