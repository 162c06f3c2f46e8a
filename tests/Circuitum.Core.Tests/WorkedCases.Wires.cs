using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Loads;
using Circuitum.Core.Measure;
using Circuitum.Core.Panels;
using Circuitum.Core.Sizing;

namespace Circuitum.Core.Tests;

// Wire, breaker and drop.
public partial class WorkedCases
{
    /// <summary>
    /// load, continuous load, minimum ampacity, nameplate breaker, asked breaker, method, conductors, ambient, several receptacles; size,
    /// breaker.
    /// </summary>
    public static TheoryData<string, SizingCase, string, int> Wires =>
        new()
        {
            {
                "31 A in conduit",
                new()
                {
                    NonContinuous = new(31),
                    Method = WiringMethod.Conduit,
                    CurrentCarrying = 3,
                },
                "8",
                35
            },
            {
                "31 A in cable",
                new() { NonContinuous = new(31) },
                "8",
                35
            },
            {
                "31 A with four conductors",
                new()
                {
                    NonContinuous = new(31),
                    Method = WiringMethod.Conduit,
                    CurrentCarrying = 4,
                },
                "8",
                35
            },
            {
                "52 A with four conductors",
                new()
                {
                    NonContinuous = new(52),
                    Method = WiringMethod.Conduit,
                    CurrentCarrying = 4,
                },
                "6",
                60
            },
            {
                "five foamed 12-2 need 10",
                new()
                {
                    NonContinuous = new(16),
                    Breaker = 20,
                    CurrentCarrying = 10,
                    SeveralReceptacles = true,
                    SmallestSize = WireSize.Parse("12"),
                },
                "10",
                20
            },
            {
                "three foamed 12-2 pass",
                new()
                {
                    NonContinuous = new(16),
                    Breaker = 20,
                    CurrentCarrying = 6,
                    SeveralReceptacles = true,
                    SmallestSize = WireSize.Parse("12"),
                },
                "12",
                20
            },
            {
                "four foamed 12-2 pass",
                new()
                {
                    NonContinuous = new(16),
                    Breaker = 20,
                    CurrentCarrying = 8,
                    SeveralReceptacles = true,
                    SmallestSize = WireSize.Parse("12"),
                },
                "12",
                20
            },
            {
                "two 12-2 in a 50 C attic, receptacles",
                new()
                {
                    NonContinuous = new(16),
                    Breaker = 20,
                    CurrentCarrying = 4,
                    AmbientC = 50,
                    SeveralReceptacles = true,
                    SmallestSize = WireSize.Parse("12"),
                },
                "10",
                20
            },
            {
                "two 12-2 in a 50 C attic, one fixed load",
                new()
                {
                    NonContinuous = new(16),
                    Breaker = 20,
                    CurrentCarrying = 4,
                    AmbientC = 50,
                    SmallestSize = WireSize.Parse("12"),
                },
                "12",
                20
            },
            {
                "air conditioner 22.4 and 40",
                new()
                {
                    NonContinuous = new(18),
                    MinimumCircuitAmpacity = 22.4,
                    MaximumBreaker = 40,
                },
                "10",
                40
            },
            {
                "48 A charger",
                new() { Continuous = new(48) },
                "4",
                60
            },
            {
                "water heater 18.75 A continuous",
                new() { Continuous = new(18.75), Breaker = 30 },
                "10",
                30
            },
            {
                "range at 33.3 A on 50",
                new() { NonContinuous = new(33.33), Breaker = 50 },
                "6",
                50
            },
            {
                "32 A charger",
                new() { Continuous = new(32) },
                "8",
                40
            },
            {
                "16 A non-continuous",
                new() { NonContinuous = new(16) },
                "12",
                20
            },
            {
                "14 A lights",
                new() { NonContinuous = new(14) },
                "14",
                15
            },
            {
                "40 A charger",
                new() { Continuous = new(40) },
                "6",
                50
            },
            {
                "dryer 20.8 A on 30",
                new() { NonContinuous = new(20.83), Breaker = 30 },
                "10",
                30
            },
            {
                "30 A in aluminum conduit",
                new()
                {
                    NonContinuous = new(28),
                    Copper = false,
                    Method = WiringMethod.Conduit,
                    CurrentCarrying = 3,
                },
                "8",
                30
            },
        };

    [Theory]
    [MemberData(nameof(Wires))]
    public void Wire_and_breaker(string what, SizingCase given, string size, int breaker)
    {
        var choice = Conductor.Choose(given, Us2023).ShouldNotBeNull(what);
        (choice.Size, choice.Breaker).ShouldBe((WireSize.Parse(size), breaker), what);
    }

    [Theory]
    [InlineData("12", 74, 16, 120, 4.570, 3.81)]
    [InlineData("10", 74, 16, 120, 2.865, 2.39)]
    [InlineData("14", 50, 12, 120, 3.684, 3.07)]
    [InlineData("6", 100, 40, 240, 3.928, 1.64)]
    public void Voltage_drop(string size, double feet, double amps, int volts, double drop, double percent)
    {
        var got = Conductor.DropVolts(Length.Feet(feet), new(amps), Conductor.Copper(WireSize.Parse(size)));
        got.ShouldBe(drop, 0.001);
        (got / volts * 100).ShouldBe(percent, 0.01);
    }

    [Fact]
    public void More_load_never_gives_a_smaller_wire()
    {
        var sizes = CodeLibrary.Conductors.Copper.Select(r => r.Size).ToList();
        var last = -1;
        for (var amps = 1.0; amps <= 90; amps += 0.5)
        {
            var choice = Conductor.Choose(new() { NonContinuous = new(amps) }, Us2023).ShouldNotBeNull();
            var at = sizes.IndexOf(choice.Size);
            at.ShouldBeGreaterThanOrEqualTo(last, $"{amps} A");
            last = at;
        }
    }
}
