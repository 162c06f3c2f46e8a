using System.Text.Json;
using Circuitum.Core.Measure;
using Shouldly;
using Xunit;

namespace Circuitum.Core.Tests;

public class WireSizeTests
{
    [Fact]
    public void The_sizes_of_the_tables_rise_as_they_grow_thicker_and_are_written_as_they_are_read()
    {
        string[] rising = ["18", "16", "14", "12", "10", "8", "6", "4", "3", "2", "1", "1/0", "2/0", "3/0", "4/0", "250", "300", "600"];
        var sizes = rising.Select(WireSize.Parse).ToList();
        sizes.Order().ShouldBe(sizes);
        sizes.Select(s => s.ToString()).ShouldBe(rising);
        sizes.Zip(sizes.Skip(1)).ShouldAllBe(p => p.First < p.Second && p.Second >= p.First);
        var rows = Codes.CodeLibrary.Conductors.Copper;
        rows.OrderBy(r => r.Cmil).Select(r => r.Size).ShouldBe(rows.OrderBy(r => r.Size).Select(r => r.Size));
    }

    [Theory]
    [InlineData("")]
    [InlineData("0")]
    [InlineData("5/0")]
    [InlineData("0/0")]
    [InlineData("-3")]
    [InlineData("41")]
    [InlineData("249")]
    [InlineData("2001")]
    [InlineData("12 AWG")]
    public void What_is_no_size_is_not_read(string text)
    {
        WireSize.TryParse(text, out _).ShouldBeFalse();
        Should.Throw<FormatException>(() => WireSize.Parse(text));
        Should.Throw<JsonException>(() => JsonSerializer.Deserialize<WireSize>($"\"{text}\""));
    }

    [Fact]
    public void It_is_text_in_data_also_as_a_key()
    {
        var json = JsonSerializer.Serialize(new Dictionary<WireSize, WireSize> { [WireSize.Awg(12)] = WireSize.Parse("2/0") });
        json.ShouldBe("{\"12\":\"2/0\"}");
        JsonSerializer.Deserialize<Dictionary<WireSize, WireSize>>(json)![WireSize.Awg(12)].ShouldBe(WireSize.Parse("2/0"));
    }
}
