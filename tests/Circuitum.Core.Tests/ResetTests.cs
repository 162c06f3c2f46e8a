using Circuitum.Core.Analysis;
using Circuitum.Core.Jobs;
using Circuitum.Core.Simulation;

namespace Circuitum.Core.Tests;

/// <summary>What can make a receptacle dead, and what goes dark: the network against the tree of the run.</summary>
public class ResetTests
{
    // The breaker, the devices that cover it and the feeders above it, worked out from the protection and the panels alone.
    [Fact]
    public void The_resets_of_each_receptacle_of_60_houses_are_the_devices_that_cover_it_and_its_breakers()
    {
        foreach (var (seed, a) in HouseSet.All.Take(60))
        {
            var all = Resets.Of(a);
            all.Select(d => d.Box.Id).ShouldBeUnique();
            foreach (var box in a.Job.Decisions.Boxes.Where(b => b.Kind == BoxKind.Receptacle && a.CircuitOf(b.Id) is not null))
                all.ShouldContain(d => d.Box.Id == box.Id, $"house {seed}, {box.Id}");
            foreach (var d in all)
            {
                var c = a.CircuitOf(d.Box.Id)!;
                var why = $"house {seed}, {d.Box.Id}";
                d.Resets.Where(r => r.Box is not null)
                    .Select(r => r.Box)
                    .ShouldBe(
                        c.Protection.Devices.Where(p => p.Box is not null && (p.Covers.Contains(d.Box.Id) || p.Box == d.Box.Id))
                            .Select(p => p.Box),
                        ignoreOrder: true,
                        why
                    );
                d.Resets.Where(r => r.Circuit is not null && r.Box is null).Select(r => r.Circuit!.Value).ShouldContain(c.Number, why);
                d.Resets.Count(r => r.Circuit is null).ShouldBe(a.PanelById(c.Panel)?.Feeder is null ? 0 : 1, why);
                d.Resets.Select(r => r.Box is null).ShouldBeInOrder(SortDirection.Ascending, why);
                d.Resets.Where(r => r.Box == d.Box.Id).ShouldAllBe(r => r.Where == Resets.Itself, why);
            }
        }
    }

    // The same answer by two ways: a cable that opens, by the tree of the run and by the network.
    [Fact]
    public void What_goes_dark_when_a_cable_opens_is_the_same_by_the_run_and_by_the_network_in_40_houses()
    {
        foreach (var (seed, a) in HouseSet.All.Take(40))
        {
            foreach (var w in HouseWirings.Of(a))
            {
                foreach (var fault in Fault.All(w).Where(f => f is { Kind: FaultKind.OpenWire, Net: "hot" }))
                {
                    var segment = w.Cables[fault.Cable!.Value];
                    if (a.CircuitByNumber(segment.Circuit) is not { Pair: null })
                        continue;
                    var dead = Outage.Of(a, $"cable:{segment.Cable.To}")!.Dead;
                    var run = Simulator.Run(fault.In(w), Setting.AllOn(w, 0));
                    for (var i = 0; i < w.Outlets.Length; i++)
                    {
                        if (w.Outlets[i].Group is null)
                            (run.At(i).HotBack < 2).ShouldBe(
                                dead.Contains(w.Outlets[i].Box),
                                $"house {seed}, {segment}, {w.Outlets[i].Box}"
                            );
                    }
                }
            }
        }
    }

    [Theory]
    [InlineData("try:x")]
    [InlineData("try:9999")]
    [InlineData("try:1;d99")]
    [InlineData("try:1;o99")]
    [InlineData("try:1;f99999")]
    [InlineData("try:1;q")]
    [InlineData("try:1;d-1")]
    [InlineData("circuit:1")]
    public void What_is_no_trial_is_none(string text) => Trial.Parse(HouseSet.All[0].House, text).ShouldBeNull();

    [Fact]
    public void A_trial_is_read_as_it_was_written_and_shows_what_it_does()
    {
        var a = HouseSet.All[0].House;
        foreach (var c in a.Circuits)
        {
            if (Trial.Of(a, c.Number) is not { } trial)
                continue;
            trial.Outage().Dead.ShouldBeEmpty();
            var off = trial.Turn(0).With(trial.Faults.Length - 1).Plug();
            Trial.Parse(a, off.Text)!.Text.ShouldBe(off.Text);
            off.Turn(0).With(null).Plug().Text.ShouldBe(trial.Text);
            if (c.Pair is null)
                trial.Turn(0).Outage().Dead.ShouldBe(trial.Whole.Outlets.Select(o => o.Box), ignoreOrder: true);
            foreach (var s in Enumerable.Range(0, trial.Whole.Switches.Length).Where(s => trial.Whole.Switches[s].Ways == 1))
                trial.Throw(s).Outage().Dead.ShouldContain(trial.Whole.Switches[s].Group.Lights[0]);
        }
    }
}
