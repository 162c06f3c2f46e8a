using System.Collections.Immutable;
using System.Globalization;
using Circuitum.Core.Analysis;

namespace Circuitum.Web.Work;

/// <summary>What of a storey the plan shows: one building, the whole lot, or one room.</summary>
/// <param name="Name">What people call it.</param>
/// <param name="Key">How an address names it; empty for the largest building.</param>
/// <param name="Rooms">The rooms in it; none when all are shown.</param>
public sealed record Shown(string Name, string Key, ImmutableHashSet<string>? Rooms)
{
    private const string Lot = "lot";
    private const string Room = "room:";
    private const string Building = "building:";
    private const int LeastPixels = 200;
    private const int MostPixels = 4000;
    private const double MostZoom = 12;

    // As it is at first, before a page has told its own.
    private static readonly (double, double) Usual = (800, 560);

    /// <summary>The room that fills the sheet, or empty.</summary>
    public string Only => Key.StartsWith(Room, StringComparison.Ordinal) ? Key[Room.Length..] : "";

    /// <summary>What one can choose on a storey: its buildings, the largest first, and the lot where there are several.</summary>
    public static ImmutableArray<Shown> On(JobAnalysis a, string storey, string name)
    {
        var left = a.House.Rooms.Where(r => r.Room.Storey == storey).ToList();
        var buildings = new List<(double Area, Shown Shown)>();
        while (left.Count > 0)
        {
            var rooms = a.House.BuildingOf(left[0].Room.Id);
            var there = left.Where(r => rooms.Contains(r.Room.Id)).OrderByDescending(r => r.AreaSqFt).ToList();
            left.RemoveAll(there.Contains);
            buildings.Add((there.Sum(r => r.AreaSqFt), new(there[0].Room.Name, $"{Building}{there[0].Room.Id}", rooms)));
        }

        if (buildings.Count < 2)
            return [new(name, "", null)];
        var sorted = buildings.OrderByDescending(b => b.Area).Select(b => b.Shown).ToList();
        return [sorted[0] with { Name = name, Key = "" }, .. sorted.Skip(1), new("Whole lot", Lot, null)];
    }

    /// <summary>What is shown: what the address names, else the building of what is picked, else the first.</summary>
    /// <param name="a">The analysis.</param>
    /// <param name="all">What one can choose.</param>
    /// <param name="key">What the address names; what there is no more counts as nothing.</param>
    /// <param name="picked">The room of what is picked, or none.</param>
    public static Shown Of(JobAnalysis a, ImmutableArray<Shown> all, string key, string? picked)
    {
        if (key.StartsWith(Room, StringComparison.Ordinal) && a.Job.RoomById(key[Room.Length..]) is { } room)
            return new(room.Name, key, null);
        if (key.Length > 0 && all.FirstOrDefault(s => s.Key == key) is { } named)
            return named;
        return all.FirstOrDefault(s => picked is not null && s.Rooms?.Contains(picked) == true) ?? all[0];
    }

    /// <summary>Whether what is shown stays when something is picked: the lot always, a room while the thing is in it.</summary>
    /// <param name="key">What is shown.</param>
    /// <param name="picked">The room of what is picked, or none.</param>
    public static bool Stays(string key, string? picked) => key == Lot || picked is null || key == Room + picked;

    /// <summary>The size of the page's canvas, as it told it: <c>803x560</c>.</summary>
    public static (double Wide, double Tall) Canvas(string? told) =>
        told?.Split('x') is [var wide, var tall]
        && int.TryParse(wide, NumberStyles.None, CultureInfo.InvariantCulture, out var w)
        && int.TryParse(tall, NumberStyles.None, CultureInfo.InvariantCulture, out var t)
            ? (Math.Clamp(w, LeastPixels, MostPixels), Math.Clamp(t, LeastPixels, MostPixels))
            : Usual;

    /// <summary>How far the page is zoomed in, as it told it.</summary>
    public static double Zoom(string? told) =>
        double.TryParse(told, NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out var zoom)
            ? Math.Clamp(zoom, 1, MostZoom)
            : 1;
}
