using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Panels;

// The sections of a board: how many, how large, and what goes behind which device.
public static partial class WayPlan
{
    /// <summary>The sections that breakers ask for, those with the greater residual current first, with the ways that each needs.</summary>
    /// <param name="needs">All breakers.</param>
    /// <param name="edition">The edition, which says how much one device may have behind it.</param>
    public static ImmutableArray<(BoardSection Section, ImmutableArray<WayNeed> Needs)> Sections(
        IReadOnlyList<WayNeed> needs,
        CodeEdition edition
    )
    {
        var sections = ImmutableArray.CreateBuilder<(BoardSection, ImmutableArray<WayNeed>)>();
        foreach (var kind in needs.GroupBy(n => n.Milliamps).OrderByDescending(g => g.Key))
        {
            var open = new List<WayNeed>();
            foreach (var need in kind.OrderBy(n => n.Breaker.Circuit))
            {
                if (TooMuch([.. open, need], edition))
                    Close();
                open.Add(need);
            }

            Close();

            void Close()
            {
                if (open.Count > 0)
                    sections.Add((new(kind.Key, WaysFor(open)), [.. open]));
                open.Clear();
            }
        }

        if (sections is not [var (only, all)] || all.Length < 2)
            return sections.ToImmutable();

        // One device for all would leave the house dark at one fault: every other circuit goes behind a second one.
        return
        [
            .. all.Select((n, i) => (Need: n, Half: i % 2))
                .GroupBy(x => x.Half, x => x.Need)
                .Select(half => (new BoardSection(only.Milliamps, WaysFor([.. half])), half.ToImmutableArray())),
        ];
    }

    /// <summary>Whether more hangs behind one device than it may have: rings, or socket-outlets on radials.</summary>
    public static bool TooMuch(IReadOnlyCollection<WayNeed> behind, CodeEdition edition) =>
        behind.Sum(n => n.Rings) > edition.Number("ringsOnDeviceMost")
        || behind.Sum(n => n.Sockets) > edition.Number("socketsOnDeviceMost");

    /// <summary>The ways that some breakers take at least.</summary>
    public static int WaysFor(IReadOnlyCollection<WayNeed> needs)
    {
        var three = needs.Count(n => n.ThreeLines);
        return three + ((needs.Count - three + Lines - 1) / Lines);
    }

    /// <summary>The sections of a board: those that it has, else what the breakers ask for, with what is over shared out.</summary>
    /// <param name="panel">The board.</param>
    /// <param name="needs">All breakers.</param>
    /// <param name="edition">The edition.</param>
    public static ImmutableArray<BoardSection> Layout(Panel panel, IReadOnlyList<WayNeed> needs, CodeEdition edition)
    {
        if (panel.Sections is { } own)
            return own;
        ImmutableArray<BoardSection> asked = [.. Sections(needs, edition).Select(s => s.Section)];
        var spare = (panel.Spaces / Lines) - asked.Sum(s => s.Ways);
        if (spare <= 0 || asked.Length == 0)
            return asked;

        // What is over goes round, so that each section has ways to spare.
        return
        [
            .. asked.Select(
                (s, i) => s with { Ways = s.Ways + (spare / asked.Length) + (i >= asked.Length - (spare % asked.Length) ? 1 : 0) }
            ),
        ];
    }

    /// <summary>
    /// A board with its sections and places. Sections that stand are kept as long as they have a place for every breaker; the planner's own
    /// are laid out again where they do not.
    /// </summary>
    /// <param name="panel">The board.</param>
    /// <param name="decided">Decisions so far.</param>
    /// <param name="needs">All breakers.</param>
    /// <param name="edition">The edition.</param>
    /// <param name="afresh">Lay out the planner's own again whatever stands.</param>
    public static (Panel Panel, ImmutableArray<SpaceDecision> Places) LaidOut(
        Panel panel,
        IReadOnlyCollection<SpaceDecision> decided,
        IReadOnlyList<WayNeed> needs,
        CodeEdition edition,
        bool afresh
    )
    {
        if (panel.Sections is { } standing && (!afresh || standing.Any(s => s.By == Origin.Person)))
        {
            var places = Fill(panel, decided, needs, edition);
            if (standing.Any(s => s.By == Origin.Person) || (places.Length == needs.Count && Serves(standing, places, needs, edition)))
                return (panel, places);
        }

        if (needs.Count == 0)
            return (panel, []);
        var open = panel with { Sections = null };
        var laid = panel with { Sections = Layout(open, needs, edition) };
        return (laid, Fill(laid, decided.Where(d => d.By == Origin.Person), needs, edition));
    }

    // Two sections where there is more than one breaker, and behind no device more than it may have.
    private static bool Serves(
        ImmutableArray<BoardSection> sections,
        ImmutableArray<SpaceDecision> places,
        IReadOnlyList<WayNeed> needs,
        CodeEdition edition
    )
    {
        var at = places.ToDictionary(p => p.Breaker, p => SectionOf(sections, WayOf(p.Space)));
        return (sections.Length > 1 || needs.Count < 2)
            && needs.All(n => at[n.Breaker] is { } s && sections[s].Milliamps <= n.Milliamps)
            && needs.GroupBy(n => at[n.Breaker]).All(g => !TooMuch([.. g], edition));
    }
}
