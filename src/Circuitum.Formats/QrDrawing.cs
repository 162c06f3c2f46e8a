using QRCoder;

namespace Circuitum.Formats;

/// <summary>A code that a phone's camera reads, as a drawing.</summary>
public static class QrDrawing
{
    /// <summary>The squares of a code, dark ones true, with the border that a reader needs.</summary>
    /// <param name="text">What it says.</param>
    public static bool[,] Squares(string text)
    {
        using var made = new QRCodeGenerator().CreateQrCode(text, QRCodeGenerator.ECCLevel.M);
        var rows = made.ModuleMatrix;
        var squares = new bool[rows.Count, rows.Count];
        for (var y = 0; y < rows.Count; y++)
        {
            for (var x = 0; x < rows.Count; x++)
                squares[y, x] = rows[y][x];
        }

        return squares;
    }

    /// <summary>The code as SVG, dark on light whatever the hour.</summary>
    /// <param name="text">What it says.</param>
    public static string Svg(string text)
    {
        var squares = Squares(text);
        var n = squares.GetLength(0);
        var path = new System.Text.StringBuilder();
        for (var y = 0; y < n; y++)
        {
            for (var x = 0; x < n; x++)
            {
                if (squares[y, x])
                    path.Append(System.Globalization.CultureInfo.InvariantCulture, $"M{x} {y}h1v1h-1z");
            }
        }

        return $"""<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 {n} {n}" role="img" aria-label="Code to scan">"""
            + $"""<path class="qr-light" d="M0 0h{n}v{n}h-{n}z"/><path class="qr-dark" d="{path}"/></svg>""";
    }
}
