using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Commands;
using Circuitum.Core.Edits;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Tests;

/// <summary>Ways of working: sets of preferences to begin with.</summary>
public class WayTests
{
    [Fact]
    public void Every_way_is_made_of_preferences_that_there_are_and_changes_the_usual_ones()
    {
        CodeLibrary.Ways.Length.ShouldBeInRange(3, 4);
        foreach (var way in CodeLibrary.Ways)
        {
            way.Preferences.Keys.Where(k => PreferenceFields.Find(k) is null).ShouldBeEmpty(way.Id);
            var taken = new TakeWay(way.Id).Apply(Sample.Flat()).Job.ShouldNotBeNull(way.Id);
            foreach (var (key, value) in way.Preferences)
                PreferenceFields.Find(key)!.Read(taken.Preferences).ShouldBe(value, $"{way.Id}: {key}");
        }

        new TakeWay("moon").Apply(Sample.Flat()).Problem.ShouldContain("Choose one");
    }

    [Fact]
    public void Before_it_is_taken_a_way_says_what_it_would_make_of_the_house_and_it_is_so()
    {
        var a = Analyzer.Analyze(Planner.PlanAll(GeneratedHouse.MakeWithShed(7)));
        foreach (var way in CodeLibrary.Ways)
        {
            var told = EditPreview.Of(a, new TakeWay(way.Id));
            var then = Analyzer.Analyze(Planner.PlanAfresh(new TakeWay(way.Id).Apply(a.Job).Job!));
            told.Now.ShouldBe(PlanTotals.Of(a));
            told.Then.ShouldBe(PlanTotals.Of(then));
            told.Brings.ShouldBe(Consequences.Of(a, then));
        }

        var (roomy, lean) = (EditPreview.Of(a, new TakeWay("roomy")), EditPreview.Of(a, new TakeWay("lean")));
        roomy.Then.Breakers.ShouldBeGreaterThan(lean.Then.Breakers);
        EditPreview.Of(a, new TakeWay("moon")).Problem.ShouldContain("Choose one");
    }

    [Fact]
    public void Before_it_is_made_an_edit_says_what_it_would_bring_and_after_it_the_house_is_so()
    {
        // A range for another appliance, a new thing, a panel elsewhere: an edit, and what is new planned after it.
        var a = Analyzer.Analyze(Planner.PlanAll(GeneratedHouse.MakeWithShed(11)));
        var (range, panel) = (a.Job.Appliances.First(x => x.Type == "range"), a.Job.Panels[0]);
        var bedroom = a.Job.Rooms.First(r => r.Kind is RoomKind.Bedroom or RoomKind.Living or RoomKind.Den);
        var wall = a.House[panel.Room].Walls.First(w => w.Index != panel.Wall && w.Length > Length.Feet(4)).Index;
        foreach (
            var edit in new JobCommand[]
            {
                new ExchangeAppliance(range.Id, "cooktop"),
                new PutOnWall("appliance:ev-charger", panel.Room, wall, Length.Feet(1), default),
                new EditRoom(bedroom.Id, "Laundry", RoomKind.Laundry, bedroom.CeilingHeight),
            }
        )
        {
            var told = EditPreview.Of(a, edit);
            told.Problem.ShouldBe("");
            told.Brings.ShouldNotBeEmpty(edit.Title);
            var made = edit.Apply(a.Job).Job!;
            var then = Analyzer.Analyze(Planner.PlanAll(made));
            (told.Then.Breakers, told.Then.Musts).ShouldBe((then.Circuits.Length, PlanTotals.Of(then).Musts), edit.Title);
        }
    }

    [Fact]
    public void What_a_wish_brought_is_told_against_the_house_without_it()
    {
        var bare = Analyzer.Analyze(Planner.PlanAll(GeneratedHouse.MakeWithShed(9)));
        var bedroom = bare.Job.Rooms.First(r => r.Kind is RoomKind.Bedroom or RoomKind.Living);
        var wish = new AddWish(bedroom.Id, WishKind.Heavy, 0, " steamer ");
        var before = EditPreview.Of(bare, wish);
        before.Brings.ShouldNotBeEmpty();
        var with = Analyzer.Analyze(wish.Apply(bare.Job).Job!);
        var made = with.Job.Wishes[^1];
        (made.Note, made.Room).ShouldBe(("steamer", bedroom.Id));
        new RoomShape(bedroom).Contains(made.At).ShouldBeTrue();
        var after = EditPreview.Without(with, new RemoveThing(Subject.Wish(made.Id)));
        after.Then.ShouldBe(PlanTotals.Of(with));
        after.Now.Breakers.ShouldBe(bare.Circuits.Length);
        after.Brings.Any(c => c.Subject is not null).ShouldBeTrue();
        new AddWish("moon", WishKind.Bed, null).Apply(bare.Job).Problem.ShouldContain("not there any more");
        new AddWish(bedroom.Id, WishKind.Bed, 99).Apply(bare.Job).Problem.ShouldContain("not there any more");
    }
}
