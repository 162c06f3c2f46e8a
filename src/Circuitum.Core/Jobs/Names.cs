namespace Circuitum.Core.Jobs;

/// <summary>Ids out of names.</summary>
public static class Names
{
    /// <summary>An id made of a name that none of the others has.</summary>
    public static string Free(string name, IEnumerable<string> taken)
    {
        var stem = new string([.. name.Trim().ToLowerInvariant().Select(c => c is >= 'a' and <= 'z' or >= '0' and <= '9' ? c : '-')]).Trim(
            '-'
        );
        while (stem.Contains("--", StringComparison.Ordinal))
            stem = stem.Replace("--", "-", StringComparison.Ordinal);
        if (stem.Length == 0)
            stem = "item";
        if (stem.Length > 40)
            stem = stem[..40].TrimEnd('-');
        var ids = taken.ToHashSet();
        var id = stem;
        for (var n = 2; ids.Contains(id); n++)
            id = $"{stem}-{n}";
        return id;
    }
}
