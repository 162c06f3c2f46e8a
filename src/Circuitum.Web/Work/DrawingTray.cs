namespace Circuitum.Web.Work;

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
