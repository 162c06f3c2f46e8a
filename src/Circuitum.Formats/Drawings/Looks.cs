namespace Circuitum.Formats.Drawings;

/// <summary>How roles look on paper and in files that stand alone; the page has style sheets of its own.</summary>
internal static class Looks
{
    /// <summary>Styles of a file that stands alone: black on white, circuits told apart by the pattern of their lines.</summary>
    internal static string Styles =>
        "text{font-family:sans-serif;fill:#1c1a17}.bold{font-weight:700}path{fill:none;stroke:#1c1a17;stroke-width:1}"
        + ".floor{fill:#fff;stroke:none}.rail{stroke-dasharray:8 4;stroke-width:1.5}.mass{fill:#8d8677;stroke:#8d8677;"
        + "stroke-linejoin:miter}.opening{stroke:#fff}.leaf,.thing,.glass,.dim{stroke:#8d8677}.wall,.hit,.hit-line,.hit-run{stroke:none}"
        + ".symbol.box,.tag.box,.wish.box{fill:#fff;stroke-width:1.3}.symbol.line{stroke-width:1.3}.solid,.arrow.head,.tag.box.home,.badge"
        + "{fill:#1c1a17}text.tag.home{fill:#fff}.dim-text.back{fill:#fff;stroke:none}.room-name,.room-size,.thing-name{fill:#5f594e}"
        + string.Concat(Patterns.Select((p, i) => $".wiring.pencil-{i + 1}{{stroke-dasharray:{p}}}"));

    /// <summary>The pattern of each pencil's lines, in pixels of line and gap.</summary>
    internal static readonly string[] Patterns = ["none", "7 3", "2 3", "9 3 2 3", "13 4", "4 4", "9 3 2 3 2 3", "1 4"];
}
