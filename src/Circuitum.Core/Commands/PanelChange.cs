using System.Collections.Immutable;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Commands;

/// <summary>What a person sets on a panel; what is none is left as it is.</summary>
public sealed record PanelChange
{
    /// <summary>Its name.</summary>
    public string? Name { get; init; }

    /// <summary>Main breaker in amperes.</summary>
    public int? MainBreaker { get; init; }

    /// <summary>Full-size spaces.</summary>
    public int? Spaces { get; init; }

    /// <summary>Family of breakers that its label names first.</summary>
    public string? BreakerFamily { get; init; }

    /// <summary>Further families that its label names.</summary>
    public ImmutableArray<string>? AlsoTakes { get; init; }

    /// <summary>Spaces that take a tandem.</summary>
    public ImmutableArray<int>? TandemSpaces { get; init; }

    /// <summary>Top over the floor.</summary>
    public Length? Top { get; init; }

    /// <summary>The panel that feeds a sub-panel.</summary>
    public string? FedFrom { get; init; }

    /// <summary>The feeder's breaker in amperes; 0 goes back to the sized one.</summary>
    public int? FeederBreaker { get; init; }

    /// <summary>How the feeder is made.</summary>
    public FeederMethod? FeederMethod { get; init; }

    /// <summary>Whether the feeder is of aluminum.</summary>
    public bool? AluminumFeeder { get; init; }

    /// <summary>Whether it has lugs and no main breaker.</summary>
    public bool? MainLugs { get; init; }

    /// <summary>The sections of a split board from the left; empty gives them back to the planner.</summary>
    public ImmutableArray<BoardSection>? Sections { get; init; }

    /// <summary>The earth fault loop at a split board in ohm; 0 forgets it.</summary>
    public double? LoopOhm { get; init; }

    /// <summary>Width of the directory card.</summary>
    public Length? CardWide { get; init; }

    /// <summary>Height of the directory card.</summary>
    public Length? CardTall { get; init; }

    // An empty field takes a person's sections away; the planner's own stand as they are.
    private ImmutableArray<BoardSection>? OfSections(Panel panel) =>
        Sections is not { } sections ? panel.Sections
        : !sections.IsEmpty ? sections
        : panel.Sections is { } own && own.Any(s => s.By == Origin.Person) ? null
        : panel.Sections;

    /// <summary>The panel with the change.</summary>
    internal Panel On(Panel panel) =>
        panel with
        {
            Name = Name ?? panel.Name,
            MainBreaker = MainBreaker ?? panel.MainBreaker,
            Spaces = Spaces ?? panel.Spaces,
            BreakerFamily = BreakerFamily ?? panel.BreakerFamily,
            AlsoTakes = AlsoTakes ?? panel.AlsoTakes,
            TandemSpaces = TandemSpaces ?? panel.TandemSpaces,
            Top = Top ?? panel.Top,
            FedFrom = panel.FedFrom is null ? null : FedFrom ?? panel.FedFrom,
            FeederBreaker = FeederBreaker is { } feeder ? (feeder == 0 ? null : feeder) : panel.FeederBreaker,
            FeederMethod = FeederMethod ?? panel.FeederMethod,
            AluminumFeeder = AluminumFeeder ?? panel.AluminumFeeder,
            MainLugs = MainLugs ?? panel.MainLugs,
            Sections = OfSections(panel),
            LoopOhm = LoopOhm is { } loop ? (loop == 0 ? null : loop) : panel.LoopOhm,
            CardWide = CardWide ?? panel.CardWide,
            CardTall = CardTall ?? panel.CardTall,
        };
}
