using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Formats;
using Circuitum.Web.Work;

namespace Circuitum.Web.Stages;

/// <summary>
/// A stage of the work: its tab, what the drawing shows, the list beside it, how far it is. A stage is found by being in this folder; it
/// brings its partials.
/// </summary>
public abstract class Stage
{
    /// <summary>Its word in addresses.</summary>
    public abstract string Id { get; }

    /// <summary>Its place in the row of tabs, from 1, which is also its key; none for one that is reached otherwise.</summary>
    public virtual int? Tab => null;

    /// <summary>What its tab says.</summary>
    public string Title => char.ToUpperInvariant(Id[0]) + Id[1..];

    /// <summary>What its tab says in the words of a family.</summary>
    public string TitleIn(CodeEdition edition) => edition.Word(Title);

    /// <summary>Whether it means anything under an edition.</summary>
    public virtual bool AppliesTo(CodeEdition edition) => true;

    /// <summary>The partial that stands beside the drawing.</summary>
    public abstract string List { get; }

    /// <summary>What the plan shows; none when the stage has no plan.</summary>
    public virtual PlanStage? Plan => null;

    /// <summary>The tools beside the plan; none when a hand only picks there.</summary>
    public virtual ImmutableArray<Tool> Tools => [];

    /// <summary>Whether all that can be put into a house is at hand.</summary>
    public virtual bool HasPalette => false;

    /// <summary>The partial that stands in the place of the plan, or none.</summary>
    public virtual string? Sheet => null;

    /// <summary>Whether its list takes the whole width.</summary>
    public virtual bool Wide => false;

    /// <summary>The beginnings of the ids of rules whose breaches are its to mend.</summary>
    protected virtual ImmutableArray<string> Rules => [];

    /// <summary>Whether there is anything of it yet.</summary>
    protected virtual bool Begun(JobAnalysis a) => true;

    /// <summary>How far it is when nothing must be mended, in a word or two.</summary>
    protected abstract string Done(JobAnalysis a);

    /// <summary>Whether there is anything of it yet.</summary>
    public bool HasBegun(JobAnalysis a) => Begun(a);

    /// <summary>How far it is, in a word or two.</summary>
    public string Progress(JobAnalysis a)
    {
        if (!Begun(a))
            return "none yet";
        var must = a.Findings.Count(f => f.Severity == Severity.Must && Rules.Any(r => f.RuleId.StartsWith(r, StringComparison.Ordinal)));
        return must > 0 ? $"{must} to mend" : Done(a);
    }
}
