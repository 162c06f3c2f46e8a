using System.Collections.Concurrent;
using System.Security.Cryptography;
using System.Text;

namespace Circuitum.Web.Access;

/// <summary>Codes by which a phone comes in as somebody: shown on the desk's screen, good once and for minutes.</summary>
public sealed class Pairing
{
    /// <summary>How long a code is good.</summary>
    public static readonly TimeSpan Good = TimeSpan.FromMinutes(10);

    private const int MostOpen = 50;

    private readonly ConcurrentDictionary<string, (string Account, DateTime Until)> open = new();

    /// <summary>Makes a code for an account; an earlier one of the same account is not good any more.</summary>
    public string Make(string account)
    {
        foreach (var (key, code) in open)
        {
            if (code.Account == account || code.Until < DateTime.UtcNow || open.Count >= MostOpen)
                open.TryRemove(key, out _);
        }

        var text = NewCode();
        open[Key(text)] = (account, DateTime.UtcNow + Good);
        return text;
    }

    /// <summary>Letters of a code.</summary>
    public const int Letters = 32;

    /// <summary>Letters that nobody can guess.</summary>
    public static string NewCode() => Convert.ToHexStringLower(RandomNumberGenerator.GetBytes(Letters / 2));

    /// <summary>Whether a code is good; it stays so.</summary>
    public bool IsGood(string code) => open.TryGetValue(Key(code), out var there) && there.Until >= DateTime.UtcNow;

    /// <summary>Uses a code up and gives the account; none for one that is not good.</summary>
    public string? Use(string code) => open.TryRemove(Key(code), out var there) && there.Until >= DateTime.UtcNow ? there.Account : null;

    // What stands in memory is of no use to whoever reads it.
    internal static string Key(string code) => Convert.ToHexString(SHA256.HashData(Encoding.UTF8.GetBytes(code)));
}
