using Circuitum.Formats.Dxf;

namespace Circuitum.Web.Work;

/// <summary>A drawing that was read and waits for a person to choose its layers.</summary>
/// <param name="Name">The file's name without its ending.</param>
/// <param name="Drawing">The drawing.</param>
/// <param name="Job">The job it goes into, or none for a new one.</param>
/// <param name="Storey">The storey it goes onto.</param>
public sealed record WaitingDrawing(string Name, DxfDrawing Drawing, string? Job, string? Storey);

/// <summary>Keeps a few drawings in memory between the file and the choice of layers. The oldest ones go.</summary>
public sealed class DrawingTray
{
    private const int Most = 4;

    private readonly List<(string Key, WaitingDrawing Drawing)> waiting = [];
    private readonly Lock gate = new();

    /// <summary>Keeps a drawing and gives its key.</summary>
    public string Keep(WaitingDrawing drawing)
    {
        var key = Guid.NewGuid().ToString("n");
        lock (gate)
        {
            waiting.Add((key, drawing));
            if (waiting.Count > Most)
                waiting.RemoveAt(0);
        }

        return key;
    }

    /// <summary>A kept drawing, or none when it has gone.</summary>
    public WaitingDrawing? Of(string key)
    {
        lock (gate)
            return waiting.FirstOrDefault(w => w.Key == key).Drawing;
    }
}
