using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Explain;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Bench;

/// <summary>Receptacles along walls.</summary>
internal static class SpacingBench
{
    internal static BenchQuestion Walls { get; } =
        new(
            "walls",
            "Receptacles along wall spaces",
            [
                new("family", "Rules", CodeLibrary.EditionIds[0], BenchDesk.Editions),
                new("spaces", "Wall spaces along the floor line, in feet or with a unit", "") { Needed = true, Example = "13,25,23in" },
                new("reach", "Farthest from a receptacle, where it is closer than the rule", "") { Example = "4ft" },
            ],
            i =>
            {
                var edition = CodeLibrary.Edition(i.Choice("family"));
                var (reach, least) = (edition.Number("wallReachIn").Length, edition.Number("wallSpaceLeastIn").Length);
                if (i.Has("reach"))
                {
                    if (i.Lengths("reach") is not [var closer] || closer < Length.Inches(6) || closer > reach)
                        throw new BenchException("reach", $"one length from 6 in to {LengthText.Show(reach, edition.Units)}.");
                    reach = closer;
                }

                string Show(Length length) => LengthText.Show(length, edition.Units);
                var spaces = i.Lengths("spaces");
                ImmutableArray<int> counts =
                [
                    .. spaces.Select(s => s < least ? 0 : Math.Max(1, (int)((s.Units + (reach.Units * 2) - 1) / (reach.Units * 2)))),
                ];
                return new(
                    [("receptacles", counts.ToArray()), ("total", counts.Sum())],
                    new("Receptacles along wall spaces", $"{counts.Sum()}")
                    {
                        Formula = string.Join(" + ", counts),
                        Citation = edition.Cite("box.wall"),
                        Because =
                            $"No point of a space of {Show(least)} and more lies over {Show(reach)} from a receptacle, so each serves "
                            + $"{Show(reach * 2)}. Doorways break a wall, windows do not, "
                            + "and a space goes on round a corner.",
                        Steps =
                        [
                            .. spaces.Select(
                                (s, n) =>
                                    Derivation.Fact(
                                        $"Space {n + 1}, {LengthText.Show(s, edition.Units)}",
                                        $"{counts[n]}",
                                        s < least ? "narrower than what counts" : ""
                                    )
                            ),
                        ],
                    }
                );
            }
        );
}
