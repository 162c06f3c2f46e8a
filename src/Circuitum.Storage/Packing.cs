using System.Text;
using ZstdSharp;

namespace Circuitum.Storage;

/// <summary>
/// Documents made small: whole, or against another one that most of it repeats. An edit of a house changes a few lines of many, so that
/// what is written against a state before is a few hundred bytes.
/// </summary>
public static class Packing
{
    /// <summary>Most bytes that one document unpacks to: more than any job file may have.</summary>
    private const int MostBytes = 16_000_000;

    /// <summary>Packs a text.</summary>
    /// <param name="text">The text.</param>
    /// <param name="against">What it is like; empty for nothing.</param>
    public static byte[] Pack(string text, string against = "")
    {
        using var press = new Compressor();
        if (against.Length > 0)
            press.LoadDictionary(Encoding.UTF8.GetBytes(against));
        return press.Wrap(Encoding.UTF8.GetBytes(text)).ToArray();
    }

    /// <summary>A text as it was packed; none where the bytes are damaged.</summary>
    /// <param name="packed">The bytes.</param>
    /// <param name="against">What it was packed against; empty for nothing.</param>
    public static string? Unpack(byte[] packed, string against = "")
    {
        try
        {
            using var press = new Decompressor();
            if (against.Length > 0)
                press.LoadDictionary(Encoding.UTF8.GetBytes(against));
            return Encoding.UTF8.GetString(press.Unwrap(packed, MostBytes));
        }
        catch (ZstdException)
        {
            return null;
        }
    }
}
