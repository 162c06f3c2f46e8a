namespace Circuitum.Core.Jobs;

/// <summary>Ids out of names, and names that none has yet.</summary>
public static class Names
{
    /// <summary>A name, with the next number where others have it.</summary>
    public static string Next(string name, IEnumerable<string> taken)
    {
        var names = taken.ToHashSet(StringComparer.OrdinalIgnoreCase);
        var next = name;
        for (var n = 2; names.Contains(next); n++)
            next = $"{name} {n}";
        return next;
    }

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
