using Circuitum.Core.Intake;
using Circuitum.Core.Jobs;

namespace Circuitum.Core.Tests;

/// <summary>What a file may ask of the machine.</summary>
public class ExtentTests
{
    // Far apart they are two buildings, each searched by itself; as one building they would be a frame of a mile of studs.
    [Fact]
    public void A_small_file_cannot_ask_for_much_work()
    {
        Job Two(double apart) =>
            new()
            {
                Name = "Two rooms",
                Storeys = [new Storey { Id = "first", Name = "First" }],
                Rooms = [Square("a", 0, 0, 10), Square("b", apart, apart, 10)],
            };
        JobRules.Check(Two(900)).ShouldBeEmpty();
        Analyzer.Analyze(Two(900)).Findings.ShouldNotBeEmpty();
        var long1 = new Job
        {
            Name = "Long",
            Storeys = [new Storey { Id = "first", Name = "First" }],
            Rooms = [Square("a", 0, 0, 301)],
        };
        JobRules.Check(long1).Single().Sentence.ShouldContain("over 300 ft from end to end");
        var many = new Job
        {
            Name = "Many",
            Storeys = [new Storey { Id = "first", Name = "First" }],
            Rooms = [Square("a", 0, 0, 290), Square("b", 300, 0, 290)],
        };
        JobRules
            .Check(many)
            .Single()
            .ShouldSatisfyAllConditions(p => p.Field.ShouldBe("rooms"), p => p.Sentence.ShouldContain("sq ft together"));
    }

    private static Room Square(string id, double x, double y, double side) => Sample.Rect(id, RoomKind.Living, x, y, side, side);
}
