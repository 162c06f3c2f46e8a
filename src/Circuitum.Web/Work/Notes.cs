using BitFaster.Caching.Lru;

namespace Circuitum.Web.Work;

/// <summary>
/// Sentences for the next page after a redirect, kept here and told by a key that nobody can guess: what stands in an address
/// is never shown as if the program said it.
/// </summary>
public sealed class Notes
{
    private const int Most = 200;

    private readonly ConcurrentLru<string, string> kept = new(Most);

    /// <summary>Keeps a sentence and gives its key.</summary>
    public string Keep(string sentence)
    {
        var key = Guid.NewGuid().ToString("N");
        kept.AddOrUpdate(key, sentence);
        return key;
    }

    /// <summary>The sentence of a key, once; empty when there is none.</summary>
    public string Take(string? key) => key is { Length: 32 } && kept.TryRemove(key, out var sentence) ? sentence : "";
}
