using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Intake;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Tests;

// What is wrong with an amendment.
public partial class AmendmentTests
{
    public static TheoryData<Amendment, string> Wrong =>
        new()
        {
            { Number("nothing", 1), "There is no number 'nothing'" },
            { Number("wallReachIn", 500), "type a number from 12 to 72 in" },
            { Number("wallReachIn", double.NaN), "type a number from 12 to 72 in" },
            { Number("smallestWireAwg", 11), "14, 12 or 10 AWG" },
            { Off("box.nothing"), "There is no rule 'box.nothing'" },
            { Off("box.wall") with { Citation = "" }, "Say where it is written." },
            {
                new()
                {
                    Kind = AmendmentKind.Rule,
                    Target = "box.wall",
                    Severity = "awful",
                    Citation = "1",
                },
                "use must, should or note"
            },
            {
                new() { Kind = AmendmentKind.Add, Citation = "1" },
                "Give the new rule a title"
            },
            {
                new()
                {
                    Kind = AmendmentKind.Add,
                    Title = "T",
                    Text = "T",
                    Citation = "1",
                    Demand = new() { Kind = LocalDemandKind.GroundFault },
                },
                "which kind of room"
            },
            {
                new()
                {
                    Kind = AmendmentKind.Add,
                    Title = "T",
                    Text = "T",
                    Citation = "1",
                    Demand = new() { Kind = LocalDemandKind.OwnCircuit, Appliance = "dragon" },
                },
                "which appliance"
            },
            {
                new()
                {
                    Kind = AmendmentKind.Add,
                    Title = "T",
                    Text = "T",
                    Citation = "1",
                    Demand = new() { Kind = LocalDemandKind.Boxes, Room = RoomKind.Den },
                },
                "which kind of box"
            },
            { Off("box.wall") with { Note = new string('x', 700) }, "the most is 600" },
        };

    [Theory]
    [MemberData(nameof(Wrong))]
    public void What_is_wrong_with_a_change_is_said_with_its_field(Amendment change, string sentence) =>
        JobRules
            .Check(With(Flat, change))
            .ShouldContain(p => p.Field.StartsWith("amendments[0].changes[0].", StringComparison.Ordinal) && p.Sentence.Contains(sentence));

    [Fact]
    public void Too_many_layers_and_changes_are_refused()
    {
        JobRules
            .Check(Flat with { Amendments = [.. Enumerable.Repeat(Layer(Off("box.wall")), 13)] })
            .ShouldContain(p => p.Sentence.Contains("the most is 12"));
        JobRules.Check(With(Flat, [.. Enumerable.Repeat(Off("box.wall"), 201)])).ShouldContain(p => p.Sentence.Contains("the most is 200"));
        JobRules
            .Check(Flat with { Amendments = [Layer(Off("box.wall")) with { Name = " " }] })
            .ShouldContain(p => p.Sentence.Contains("Give the layer a name."));
    }
}
