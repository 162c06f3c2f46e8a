using System.Text.RegularExpressions;
using Circuitum.Core.Measure;

namespace Circuitum.Formats.Dxf;

/// <summary>A note of a room's ceiling height, as drawings have it: <c>CLG 9'-0"</c>, <c>9'-0" CLG.</c>, <c>CH = 2.7 m</c>.</summary>
internal static partial class CeilingNote
{
    private static readonly Length Lowest = Length.Feet(5),
        Highest = Length.Feet(40);

    /// <summary>The words before the height that this program writes.</summary>
    internal const string Word = "CLG";

    /// <summary>The height that a text tells, or none.</summary>
    internal static Length? Of(string text)
    {
        if (Before().Match(text) is not { Success: true } found)
            found = After().Match(text);
        if (!found.Success || !LengthText.TryParse(found.Groups["height"].Value.Trim().TrimEnd('.'), out var height, out _))
            return null;
        return height >= Lowest && height <= Highest ? height : null;
    }

    private const string Ceiling = @"(?:ceiling|ceil|clg|cl'g|c\.?\s?h)\.?(?:\s*(?:height|hgt|ht)\.?)?";

    [GeneratedRegex($@"^\s*{Ceiling}\s*[:=@]?\s*(?<height>[\d][^A-Za-z]*(?:ft|in|mm|cm|m)?\.?)\s*$", RegexOptions.IgnoreCase, 100)]
    private static partial Regex Before();

    [GeneratedRegex($@"^\s*(?<height>[\d][^A-Za-z]*?(?:ft|in|mm|cm|m)?)\s*{Ceiling}\s*$", RegexOptions.IgnoreCase, 100)]
    private static partial Regex After();
}
