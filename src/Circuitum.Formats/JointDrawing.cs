using Circuitum.Core.Field;
using Circuitum.Core.Takeoff;
using Circuitum.Formats.Drawings;

namespace Circuitum.Formats;

/// <summary>What is joined in a box: each potential a row, its wires from the left, what goes to the device at the right.</summary>
public static class JointDrawing
{
    private const double Row = 46,
        Wide = 340,
        Wires = 96,
        Node = 176,
        Device = 270,
        Apart = 7;

    /// <summary>The drawing of a box; none where nothing meets in it.</summary>
    /// <param name="guide">How it is made up.</param>
    public static Drawing? Of(MakeUpGuide guide)
    {
        if (guide.Joints.Length == 0)
            return null;
        var pen = new Pen();
        var tall = (guide.Joints.Length * Row) + 20;
        var ends = guide.Joints.Any(j => j.Terminals + j.Leads > 0);
        if (ends)
        {
            pen.Box(Device, 18, Wide - 4, tall - 6, 1.5);
            pen.Text((Device + Wide - 4) / 2, 12, guide.Joints.Any(j => j.Terminals > 0) ? "device" : "leads", 11, false, TextSide.Middle);
        }

        pen.Text(Wires, 12, "cables", 11, false, TextSide.End);
        for (var i = 0; i < guide.Joints.Length; i++)
            Draw(pen, guide.Joints[i], 18 + (i * Row) + (Row / 2));
        return pen.Done("joints-svg", "What is joined in this box", Wide, tall);
    }

    private static void Draw(Pen pen, BoxJoint j, double y)
    {
        pen.Text(Wires - 8, y + 4, Named(j.What), 12, true, TextSide.End);
        for (var n = 0; n < j.Wires; n++)
        {
            var from = y + ((n - ((j.Wires - 1) / 2.0)) * Apart);
            pen.Line(Wires, from, Node - 24, from, 2);
            pen.Line(Node - 24, from, Node, y, 2);
        }

        // A joint has a connector; one wire that lands on one terminal goes straight on.
        if (j.Splice is not null)
            pen.Fill(Node - 6, y - 9, Node + 6, y + 9);
        var tails = j.Terminals + j.Leads;
        for (var n = 0; n < tails; n++)
        {
            var to = y + ((n - ((tails - 1) / 2.0)) * Apart);
            pen.Line(Node, y, Node + 24, to, 2);
            pen.Line(Node + 24, to, Device, to, 2);
            pen.Circle(Device + 6, to, 3.5, 1.5);
        }

        if (tails == 0)
            pen.Text(Node + 14, y + 4, j.Splice is { Count: 1 } || j.Splice is null ? "capped" : "", 11);
    }

    private static string Named(string what) => what.Length > 18 ? $"{what[..17]}\u2026" : what;
}
