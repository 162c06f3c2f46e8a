using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Entry;

/// <summary>Puts typed things where there is room for them on the side that is said.</summary>
internal static class ThingMaker
{
    /// <summary>The word of a thing by what people call it; none when nothing or more than one is called so.</summary>
    /// <param name="name">Such as <c>water heater</c>.</param>
    internal static string? WordOf(string name)
    {
        var word = name.Trim().ToLowerInvariant().Replace(' ', '-');
        if (word is WallThings.Panel or WallThings.SubPanel or WallThings.Counter || WallThings.FixtureOf(word) is not null)
            return word;
        if (CodeLibrary.Appliances.ContainsKey(word))
            return word;
        var typed = name.ToLowerInvariant().Split(' ', StringSplitOptions.RemoveEmptyEntries);
        var called = CodeLibrary
            .Appliances.Values.Where(t => typed.All(w => t.Name.Split(' ').Any(n => n.StartsWith(w, StringComparison.OrdinalIgnoreCase))))
            .Take(2)
            .ToList();
        return called is [var only] ? only.Id : null;
    }

    /// <summary>Puts the thing of a part of a line into the line's room, or tells what is wrong with it.</summary>
    internal static void Make(ListUnderWay list, RoomLine line, ThingPart part)
    {
        if (list.RoomOf(line) is not { } room)
            return;
        var floor = new FloorRoom(list.Job, room.Id);
        if (CodeLibrary.Appliances.TryGetValue(part.Word, out var type) && type.Overhead)
        {
            floor.Hang(type, floor.Shape.Centre);
            list.Try(line, part.Text, floor.Job);
            return;
        }

        if (part.Word == WallThings.SubPanel && list.Job.Panels.Length == 0)
            HangMain(list, line, part);
        var isPanel = part.Word is WallThings.Panel or WallThings.SubPanel;
        if (Find(list.Job, floor, part, isPanel) is not var (wall, from))
        {
            list.Wrong(line, part.Text, $"there is no free wall for it{(part.On is null ? "" : " on that side")}. Say another side.");
            return;
        }

        var (wide, deep) = WallThings.SizeOf(part.Word);
        var spot = new Spot
        {
            Wall = wall,
            From = from,
            Width = wide,
            Depth = deep,
        };
        var (made, problem) = WallThings.Put(list.Job, "", part.Word, room.Id, spot);
        if (made is null)
            list.Wrong(line, part.Text, problem);
        else
            list.Try(line, part.Text, made);
    }

    // A sub-panel is fed from the panel at the service: where nobody said where that hangs, it is proposed.
    private static void HangMain(ListUnderWay list, RoomLine line, ThingPart part)
    {
        if (PanelPlace.Find(list.Job) is not var (room, wall, along))
            return;
        var spot = new Spot { Wall = wall, From = along };
        if (WallThings.Put(list.Job, "", WallThings.Panel, room, spot).Job is { } hung)
            list.Try(line, part.Text, hung);
    }

    private static (int Wall, Length From)? Find(Job job, FloorRoom floor, ThingPart part, bool isPanel)
    {
        var edition = CodeLibrary.EditionOf(job);
        var (wide, deep) = isPanel
            ? (edition.Number("workingWidthIn").Length, edition.Number("workingDepthIn").Length)
            : WallThings.SizeOf(part.Word);
        foreach (var (wall, from, to) in isPanel ? floor.FreeOfWindows(deep.InInches) : floor.Free(deep.InInches))
        {
            if (part.On is { } side && !Stretch.Looks(floor.Shape, floor.Shape.Walls[wall], side))
                continue;
            var at = from;
            if (part.At is { } typed)
            {
                at = Stretch.Told(floor.Shape.Walls[wall], typed, wide);
                if (at < from)
                    continue;
            }

            if (at + wide <= to)
                return (wall, isPanel ? at + (wide / 2) : at);
        }

        return null;
    }
}
