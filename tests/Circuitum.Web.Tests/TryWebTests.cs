using System.Net;

namespace Circuitum.Web.Tests;

/// <summary>A circuit tried on the plan, and what to do when a receptacle is dead.</summary>
public sealed class TryWebTests() : WebHouse(shared: true)
{
    private const string At = "/jobs/gull-cottage--planned";

    private async Task<string> Text(string address) =>
        string.Join(
            ' ',
            Parse(await Web.GetStringAsync(address)).Body!.TextContent.Split(default(char[]), StringSplitOptions.RemoveEmptyEntries)
        );

    [Fact]
    public async Task A_breaker_is_turned_off_a_switch_thrown_and_a_short_put_in()
    {
        var page = Parse(await Web.GetStringAsync($"{At}/circuits?pick=circuit:17&dark=try:17"));
        page.QuerySelector("[aria-label='Try it'] [role=status]")!.TextContent.ShouldContain("Everything has power");
        page.QuerySelectorAll("[aria-label='Try it'] td").ShouldContain(c => c.TextContent == "120 V");
        (await Text($"{At}/circuits?pick=circuit:17&dark=try:17;o0")).ShouldContain("crossed out on the plan");
        (await Text($"{At}/circuits?pick=circuit:17&dark=try:17;d0")).ShouldContain("crossed out on the plan");
        var fault = page.QuerySelectorAll("optgroup[label='hot touches ground'] option")[0].GetAttribute("value")!;
        (await Text($"{At}/circuits?pick=circuit:17&dark={fault}")).ShouldContain("Breaker 17 opens: at once, as for a short.");
    }

    [Theory]
    [InlineData("try:17;f99999")]
    [InlineData("try:99")]
    [InlineData("try:17;<script>")]
    public async Task What_cannot_be_tried_shows_the_circuit_as_it_is(string dark) =>
        (await Text($"{At}/circuits?pick=circuit:17&dark={Uri.EscapeDataString(dark)}")).ShouldNotContain("tried");

    [Fact]
    public async Task A_dead_receptacle_is_looked_up_by_its_room()
    {
        var found = await Text($"{At}/dead?find=bath");
        found.ShouldContain("Ground-fault receptacle: its own buttons");
        (await Text($"{At}/dead?find=range")).ShouldContain("Kitchen");
        found.ShouldContain("space 15");
        found.ShouldNotContain("kitchen.r1");
        (await Text($"{At}/dead?find=dragons")).ShouldContain("Nothing of that name");
        (await Text("/jobs/gull-cottage/dead")).ShouldContain("No receptacle is on a circuit yet");
        (await Web.GetAsync("/jobs/none/dead")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (await Text($"{At}/papers/resets")).ShouldContain("If a receptacle is dead");
    }
}
