using Circuitum.Core.Codes;

namespace Circuitum.Core.Takeoff;

/// <summary>Something to buy.</summary>
/// <param name="Type">Its kind.</param>
/// <param name="Key">Its key, the same for the same thing in every job, as price lists name it.</param>
/// <param name="Text">What to ask for.</param>
public sealed record MaterialItem(ItemType Type, string Key, string Text)
{
    /// <summary>A key of several words: what is empty is left out, what is no letter, digit or sign of a size becomes a dash.</summary>
    public static string KeyOf(params IEnumerable<string> words) =>
        string.Join(
            '.',
            words
                .Where(w => w.Length > 0)
                .Select(w =>
                    string.Join(
                        '-',
                        new string([.. w.ToLowerInvariant().Select(c => char.IsLetterOrDigit(c) || c is '/' or '-' ? c : ' ')]).Split(
                            ' ',
                            StringSplitOptions.RemoveEmptyEntries
                        )
                    )
                )
        );
}
