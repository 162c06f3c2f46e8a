using System.Text.RegularExpressions;
using Circuitum.Core.Analysis;
using Circuitum.Core.Measure;
using Circuitum.Core.Planning;
using Circuitum.Formats.Documents;
using Circuitum.Generated;
using UglyToad.PdfPig;

namespace Circuitum.Formats.Tests;

/// <summary>A job that is told in metres says nothing in feet: the Canadian house, and a house of the other family told in
/// metres.</summary>
public partial class MetresTests
{
    // What is bought or made by inches all over: conduit sizes, coils, boxes, drill bits, staples of a hand's breadth.
    private static readonly string[] Lawful = ["material", "estimate", "builders", "van", "reels"];

    public static TheoryData<string> Houses => ["larch-siding.json", "gull-cottage.json"];

    private static JobAnalysis House(string demo) =>
        Analyzer.Analyze(Planner.PlanAll(JobFileTests.Demo(demo) with { Units = LengthUnits.Metric }));

    // 12 ft, 12'-6, 1,200 sq ft.
    [GeneratedRegex(@".{0,60}(\d (ft|feet)\b|\d'-?\d|sq ft)")]
    private static partial Regex Feet();

    private static IEnumerable<string> WithFeet(IEnumerable<string> texts) => texts.SelectMany(t => Feet().Matches(t)).Select(m => m.Value);

    [Theory]
    [MemberData(nameof(Houses))]
    public void Findings_numbers_and_drawings_are_told_in_metres(string demo)
    {
        var a = House(demo);
        WithFeet(a.Findings.Select(f => f.Sentence)).ShouldBeEmpty();

        // An edition says its numbers in its own units.
        if (a.Edition.Units == LengthUnits.Metric)
            WithFeet(Analyzer.Analyze(a.Job with { Decisions = new() }).Findings.Select(f => f.Sentence)).ShouldBeEmpty();
        foreach (var storey in a.Job.Storeys)
        {
            foreach (var stage in Enum.GetValues<PlanStage>())
                WithFeet([PlanSvg.Draw(a, new PlanView(storey.Id, stage))]).ShouldBeEmpty();
        }

        WithFeet(Lists.Of(a).SelectMany(l => l.Columns)).ShouldBeEmpty();
    }

    [Theory]
    [MemberData(nameof(Houses))]
    public void Papers_are_told_in_metres(string demo)
    {
        var a = House(demo);
        // The other family's loads are by the square foot.
        string[] byRule = a.Edition.Units == LengthUnits.FeetInches ? ["load", "packet"] : [];
        foreach (var name in Papers.Names.Except([.. Lawful, .. byRule]))
        {
            using var pdf = PdfDocument.Open(Papers.Make(a, name, 1, PaperSize.A4));
            WithFeet(pdf.GetPages().Select(p => string.Join(' ', p.GetWords().Select(w => w.Text)))).ShouldBeEmpty(name);
        }
    }

    [Fact]
    public void In_20_made_up_houses_no_finding_and_no_need_is_told_in_feet()
    {
        for (var seed = 0; seed < 20; seed++)
        {
            var job = GeneratedHouse.MakeWithShed(seed) with { CodeEdition = "ca-2021", Units = LengthUnits.Metric };
            foreach (var a in new[] { Analyzer.Analyze(job), Analyzer.Analyze(Planner.PlanAll(job)) })
            {
                WithFeet(a.Findings.Select(f => f.Sentence)).ShouldBeEmpty();
                WithFeet(a.Circuits.SelectMany(c => c.Needs.Values.SelectMany(n => n)).Select(n => n.Reason)).ShouldBeEmpty();
            }
        }
    }
}
