using Circuitum.Core.Analysis;
using Circuitum.Core.Explain;
using Circuitum.Core.Measure;

namespace Circuitum.Formats.Documents;

/// <summary>Papers of panels: schedules, directories, loads, the make-up and feeders.</summary>
internal static class PanelPapers
{
    internal static void Schedules(PaperDraft s, JobAnalysis a)
    {
        if (a.Edition.Board is not null)
        {
            Boards(s, a);
            return;
        }

        foreach (var at in a.Panels)
        {
            s.Part($"Panel schedule: {at.Panel.Name}");
            s.Text(
                $"{Fed(a, at)}, {at.Panel.Spaces} spaces, "
                    + $"{(at.Panel.BreakerFamily.Length > 0 ? at.Panel.BreakerFamily : "breaker family not named")}."
            );
            s.Table(
                [
                    new("Space", 7, true),
                    new("Ckt", 5, true),
                    new("Serves", 30),
                    new("Breaker", 11),
                    new("Protection", 12),
                    new("Wire", 13),
                    new($"Run {LengthText.FarWord(a.Units)}", 7, true),
                    .. a.Edition.Supply.Headings("VA").Select(h => new Column(h, 8, true)),
                ],
                at.Schedule.Select(r => Row(a, r)).Append(Connected(a, at))
            );
        }

        if (a.Panels.Length == 0)
            NoPanel(s, "Panel schedule");
        else
            s.Text(
                $"Service load: {string.Join("; ", a.ServiceLoads.Select(l => $"{l.Name} {l.Total}, {l.Current.Value:0.0} A"))}. "
                    + $"Used: {a.Service.Name}."
            );
    }

    private static void Boards(PaperDraft s, JobAnalysis a)
    {
        foreach (var sheet in a.Panels.Select(at => BoardSheet.Of(a, at)).OfType<BoardSheet>())
        {
            s.Part($"Board schedule: {sheet.At.Panel.Name}");
            foreach (var line in BoardLines.Over(a, sheet))
                s.Text(line);
            double[] wide = [8, 8, 25, 8, 14, 16, .. sheet.At.Supply.Names.Select(_ => 8), 8, 7];
            s.Table(
                [
                    .. BoardLines
                        .Heads(sheet, a.Units)
                        .Select((h, i) => new Column(h, (float)wide[i], i >= BoardLines.BeforeLines || i is 1 or 3)),
                ],
                BoardLines
                    .Of(a, sheet)
                    .Select(l => new PaperRow([.. l.Cells.Select((c, i) => new PaperCell(c, BoardLines.Why(sheet, l.Place, i)))]))
            );
            foreach (var line in BoardLines.Under(sheet))
                s.Text(line);
        }

        if (a.Panels.Length == 0)
            NoPanel(s, "Board schedule");
        s.Text("Basic: what a local layer may change, and what is doubted, stands on the rules page.");
    }

    private static string Capital(string words) => char.ToUpperInvariant(words[0]) + words[1..];

    private static void NoPanel(PaperDraft s, string heading)
    {
        s.Part(heading);
        s.Text("No panel yet.");
    }

    private static PaperRow Row(JobAnalysis a, PanelRow r)
    {
        PaperCell[] loads =
        [
            .. r.Load.Each.Select(l =>
                l.Value > 0 ? new PaperCell($"{l.Value:#,0}", r.Circuit is { } own ? $"circuit.{own.Number}.load" : "") : ""
            ),
        ];
        if (r.Feeder is { } f)
            return r.SecondPole
                ? new([r.Place, "", "second pole", "", "", "", "", .. loads])
                : new([
                    r.Place,
                    "",
                    $"Feeder to {a.PanelById(f.To)!.Panel.Name}",
                    new($"{f.Breaker} A, 2-pole", $"feeder.{f.To}"),
                    "",
                    f.Made,
                    LengthText.FarNumber(f.Cut, a.Units),
                    .. loads,
                ]);
        if (r.Circuit is not { } c)
            return new([r.Place, "", "Spare", "", "", "", "", .. loads]);
        return r.SecondPole
            ? new([r.Place, $"{c.Number}", "second pole", "", "", "", "", .. loads])
            : new([
                r.Place,
                $"{c.Number}",
                c.Label,
                new($"{c.Breaker} A, {c.Poles}-pole", $"circuit.{c.Number}.wire"),
                new(c.Protection.Mark, c.Protection.Mark.Length > 0 ? $"circuit.{c.Number}.protection" : ""),
                new(c.Cable == c.BranchCable ? $"{c.Cable}" : $"{c.Cable}, then {c.BranchCable}", $"circuit.{c.Number}.wire"),
                new(LengthText.FarNumber(c.Run.Cut, a.Units), $"circuit.{c.Number}.run"),
                .. loads,
            ]);
    }

    private static PaperRow Connected(JobAnalysis a, PanelAnalysis at) =>
        new([
            "",
            "",
            "Connected load",
            "",
            "",
            "",
            new(LengthText.FarNumber(a.Circuits.Where(c => c.Panel == at.Panel.Id).Sum(c => c.Run.Cut.InFeet), a.Units, "#,0"), "cable"),
            .. at.Lines.Each.Select(l => new PaperCell($"{l.Value:#,0}", $"legs.{at.Panel.Id}")),
        ])
        {
            Sum = true,
        };

    private static string Fed(JobAnalysis a, PanelAnalysis at) =>
        at.Feeder is { } f
            ? $"Fed from {a.PanelById(f.From)!.Panel.Name} by {f.Breaker} A, {f.Made}; "
                + $"{(at.Panel.MainLugs ? "main lugs" : $"{at.Panel.MainBreaker} A main")}"
            : $"{at.Panel.MainBreaker} A main";

    // In the size of the card that goes into the door; cut at its edge.
    internal static void Directories(PaperDraft s, JobAnalysis a, int change)
    {
        if (a.Panels.Length == 0)
            NoPanel(s, "Directory");
        foreach (
            var (at, card) in a.Panels.SelectMany(at => DirectoryCard.Of(a, at, Papers.CardFoot(a, change)).Select(card => (at, card)))
        )
        {
            s.Part($"Directory: {at.Panel.Name}. Cut along the frame; print without scaling.", small: true);
            s.Draw(card, 1, 1);
        }
    }

    internal static void Loads(PaperDraft s, JobAnalysis a)
    {
        var sheet = ServiceSheet.Of(a);
        s.Part("Load sheet");
        s.Text(
            $"{a.AreaInWords}. The {a.Service.Name} is "
                + $"used: {a.Service.Total}, {a.Service.Current.Value:0.0} A, {sheet.Used * 100:0} percent of the {sheet.Rating} A "
                + "main breaker. Service sizing is for a licensed person to decide."
        );
        foreach (
            var (title, d) in a
                .ServiceLoads.Reverse()
                .Select(l => (Capital(l.Name), l.Derivation))
                .Append(("Neutral", sheet.Neutral))
                .Append(("Conductors and grounding", sheet.Conductors))
        )
            Worked(s, title, d);
        s.Heading("By other editions");
        s.Table(
            [
                new("Edition", 22),
                .. a.ServiceLoads.Select(l => new Column(
                    Capital(l.Name.Replace(" method", "", StringComparison.Ordinal)),
                    36 / a.ServiceLoads.Length
                )),
                new("What comes out otherwise", 42),
            ],
            ServiceSheet
                .EditionsOf(a)
                .Select(e =>
                    new[]
                    {
                        [$"{e.Edition.FullName}{(e.Edition.Id == a.Edition.Id ? ", this job's" : "")}"],
                        e.Loads.Select(l => $"{l.Total}, {l.Current.Value:0.0} A"),
                        [e.Differs.IsEmpty ? "nothing" : string.Join("; ", e.Differs)],
                    }
                        .SelectMany(cells => cells)
                        .ToArray()
                )
        );
        foreach (var at in a.Panels.Where(p => p.Feeder is not null))
            Worked(s, $"Feeder of {at.Panel.Name}", at.Feeder!.Derivation);
        if (sheet.Reliefs.Length > 0)
            s.Heading("What would relieve the service");
        foreach (var r in sheet.Reliefs)
            s.Text($"- {r.What}: {r.Saved.Value:0.0} A less");
    }

    private static void Worked(PaperDraft s, string title, Derivation d)
    {
        s.Heading(title);
        s.Table(
            [new("Line", 32), new("How", 34), new("Section", 14), new("Result", 20, true)],
            Lines(d, 0).Append([d.What, d.Formula, d.Citation, d.Result])
        );
    }

    private static IEnumerable<string[]> Lines(Derivation d, int deep) =>
        d.Steps.SelectMany(step =>
            Lines(step, deep + 1)
                .Where(_ => deep == 0)
                .Prepend([
                    $"{(deep > 0 ? "- " : "")}{step.What}",
                    step.Formula.Length > 0 ? step.Formula : step.Because,
                    step.Citation,
                    step.Result,
                ])
        );

    internal static void OneLinePaper(PaperDraft s, JobAnalysis a)
    {
        s.Part("One-line drawing");
        s.Draw(OneLine.Of(a));
    }

    internal static void MakeUps(PaperDraft s, JobAnalysis a)
    {
        if (a.Panels.Length == 0)
            NoPanel(s, "Make-up");
        foreach (var at in a.Panels)
        {
            var m = MakeUp.Of(a, at);
            s.Part($"Make-up: {at.Panel.Name}");
            s.Draw(MakeUpDrawing.Of(m));
            s.Part($"Order of make-up: {at.Panel.Name}");
            foreach (var (line, n) in MakeUpWords.Of(a, m).Select((l, n) => (l, n + 1)))
                s.Text($"{n}. {line}");
            s.Table(
                [
                    new("Turn", 6, true),
                    new("Space", 8, true),
                    new("Breaker", 13),
                    new("Protection", 12),
                    new("Wire", 14),
                    new("Serves", 35),
                    new("Mind", 26),
                ],
                m.Breakers.Select(b =>
                    new[] { $"{b.Order}", b.Row.Place, $"{b.Amperes} A, {b.Poles}-pole", b.Mark, b.Wire, b.Name, MakeUpWords.Mind(b) }
                )
            );
        }
    }

    internal static void Feeders(PaperDraft s, JobAnalysis a)
    {
        var fed = a.Panels.Where(p => p.Feeder is not null).ToList();
        s.Part("Feeders", flows: true);
        if (fed.Count == 0)
            s.Text("No sub-panel, so no feeder.");
        else
            s.Table(
                [
                    new("From", 14),
                    new("To", 16),
                    new("Breaker", 8),
                    new("Made of", 26),
                    new("Load", 12),
                    new(LengthText.FarWord(a.Units), 5, true),
                    new("Drop", 8, true),
                    new("Way", 20),
                ],
                fed.Select(p =>
                    new[]
                    {
                        a.PanelById(p.Feeder!.From)!.Panel.Name,
                        p.Panel.Name,
                        $"{p.Feeder.Breaker} A",
                        p.Feeder.Made,
                        $"{p.Feeder.Load.Current.Value:0.0} A",
                        LengthText.FarNumber(p.Feeder.Cut, a.Units),
                        $"{p.Feeder.DropPercent:0.0} %",
                        p.Feeder.Route.Told(a.Units),
                    }
                )
            );
    }
}
