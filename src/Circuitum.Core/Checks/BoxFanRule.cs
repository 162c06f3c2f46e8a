using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Codes;

namespace Circuitum.Core.Checks;

/// <summary>A box that is listed for a fan where one is likely.</summary>
internal sealed class BoxFanRule : CheckedRule
{
    internal override string Id => "box.fan";

    internal override IEnumerable<Finding> InHouse(JobAnalysis a) =>
        a
            .Job.Decisions.Boxes.Where(b =>
                b.Size is not null && BoxHardware.NeedsFanBox(a.House, a.Edition, b) && CodeLibrary.Boxes[b.Size].Use != "fan"
            )
            .Select(b =>
                Breach(
                    a,
                    $"{a.House[b.Room].Room.Name}: {b.Id} is a {CodeLibrary.Boxes[b.Size!].In(a.Units).Name}; a fan is likely there.",
                    Subject.Box(b.Id)
                ) with
                {
                    Fix = BoxFixes.Change("Use a fan-rated box", b.Id, new() { Size = "" }),
                }
            );
}
