using Circuitum.Core.Codes;

namespace Circuitum.Core.Tests;

/// <summary>Adding an edition is adding a file.</summary>
public class EditionReaderTests
{
    private const string Next = """
        {
          "id": "us-next", "from": "us-2023", "name": "The next edition",
          "numbers": { "wallReachIn": 60, "counterReachIn": 18, "generalVaPerSqFt": 2 },
          "ways": { "island": "area" }
        }
        """;

    private static CodeEdition Read(string text) =>
        EditionReader.Read("us-next", id => id == "us-next" ? text : CodeLibrary.EditionText(id));

    [Fact]
    public void A_file_that_differs_in_three_numbers_and_a_way_is_an_edition()
    {
        var (next, before) = (Read(Next), CodeLibrary.Edition("us-2023"));
        (next.Id, next.Name).ShouldBe(("us-next", "The next edition"));
        (next.Number("wallReachIn").Value, next.Number("counterReachIn").Value, next.Number("generalVaPerSqFt").Value).ShouldBe(
            (60, 18, 2)
        );
        next.Ways.ShouldBe(before.Ways with { Island = IslandWay.Area });
        next.Numbers.Where(n => before.Number(n.Key) != n.Value).Count().ShouldBe(3);
        next.Rules.Keys.Order().ShouldBe(before.Rules.Keys.Order());
    }

    [Fact]
    public void Every_file_of_the_editions_is_shipped_newest_first() =>
        CodeLibrary.EditionIds.ShouldBe(["us-2023", "us-2020", "us-2017", "sb-gulf", "sb-british", "ca-2021"]);

    [Theory]
    [InlineData("\"area\"", "\"by moonlight\"")]
    [InlineData("\"area\"", "1")]
    [InlineData("\"area\"", "null")]
    [InlineData("\"island\": \"area\"", "\"islands\": \"area\"")]
    public void An_unknown_or_a_missing_way_is_refused_when_the_data_is_read(string part, string instead) =>
        Should.Throw<InvalidOperationException>(() => Read(Next.Replace(part, instead))).Message.ShouldContain("us-next");

    [Fact]
    public void What_every_edition_of_a_kind_names_is_the_same()
    {
        foreach (var edition in CodeLibrary.Editions.Values)
        {
            // Those of split boards have rules and numbers of their own beside what they share with all.
            var newest = CodeLibrary.EditionIds.Select(CodeLibrary.Edition).First(e => (e.Board is null) == (edition.Board is null));
            newest.Rules.Keys.ShouldBeSubsetOf(CodeLibrary.Edition("sb-gulf").Rules.Keys);
            edition.Numbers.Keys.Order().ShouldBe(newest.Numbers.Keys.Order(), edition.Id);
            edition.Rules.Keys.Order().ShouldBe(newest.Rules.Keys.Order(), edition.Id);
            edition.RoomKinds.Keys.Order().ShouldBe(newest.RoomKinds.Keys.Order(), edition.Id);
        }
    }
}
