using Circuitum.Core.Circuits;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Protection;

namespace Circuitum.Core.Tests;

// Arc-fault and ground-fault protection.
public partial class CanadaTests
{
    // Exempt only while alone; a light beside them makes the whole circuit need it.
    [Fact]
    public void Counter_receptacles_need_arc_fault_protection_only_with_something_else_beside_them()
    {
        var house = HouseOf(out var counter);
        var light = new Box
        {
            Id = "kitchen.l1",
            Kind = BoxKind.Light,
            Room = "kitchen",
            At = Sample.P(6, 6),
        };
        bool Needs(params Box[] with) =>
            ProtectionNeeds.Of(house, Canada, counter, 120, 20, with).Any(n => n.Kind == ProtectionKind.ArcFault);
        Needs(counter).ShouldBeFalse();
        Needs(counter, light).ShouldBeTrue();
        ProtectionNeeds.Of(house, Canada, light, 120, 15, [light]).ShouldBeEmpty();
        ProtectionNeeds
            .Of(house, Canada, Receptacle("kitchen.r9", "kitchen", 2, 2), 120, 15, [Receptacle("kitchen.r9", "kitchen", 2, 2)])
            .ShouldContain(n => n.Kind == ProtectionKind.ArcFault);
    }

    private static Geometry.HouseShape HouseOf(out Box counter)
    {
        counter = Receptacle("kitchen.r1", "kitchen", 0, 5, 44);
        return Geometry.HouseShape.Of(
            With(Sample.House(Sample.Rect("kitchen", RoomKind.Kitchen, 0, 0, 12, 12)) with { Counters = [Counter(0, 0, 11)] }, [counter])
        );
    }

    [Theory]
    [InlineData(1500, true)]
    [InlineData(1510, false)]
    public void Ground_fault_protection_reaches_a_metre_and_a_half_from_a_sink(int millimetres, bool isNeeded)
    {
        var box = Receptacle("kitchen.r1", "kitchen", 0, 6) with { Along = Length.Feet(2) + Length.Millimetres(millimetres) };
        var house = Sample.House(Sample.Rect("kitchen", RoomKind.Kitchen, 0, 0, 12, 12)) with
        {
            Fixtures = [Wet(FixtureKind.Sink, "kitchen", 0, 2, 2)],
            Appliances = [Sample.Thing("dishwasher", "dishwasher", "kitchen", 0, 2.2)],
        };
        var shape = Geometry.HouseShape.Of(With(house, [box]));
        bool Needs(Box b) => ProtectionNeeds.Of(shape, Canada, b, 120, 15, [b]).Any(n => n.Kind == ProtectionKind.GroundFault);
        Needs(box).ShouldBe(isNeeded);

        // Behind what stands fixed nobody reaches it.
        Needs(box with { Id = "kitchen.e1", Kind = BoxKind.Appliance, Appliance = "dishwasher" }).ShouldBeFalse();
    }

    [Fact]
    public void The_garage_s_light_may_hang_on_the_circuit_of_its_receptacles_and_no_other_light()
    {
        var house = Sample.House(Sample.Rect("garage", RoomKind.Garage, 0, 0, 20, 20), Sample.Rect("den", RoomKind.Den, 20, 0, 12, 12));
        Box[] lights =
        [
            new()
            {
                Id = "a",
                Kind = BoxKind.Light,
                Room = "garage",
            },
            new()
            {
                Id = "b",
                Kind = BoxKind.Light,
                Room = "den",
            },
        ];
        string? Refused(string edition, Box light) =>
            BoxPurpose.WhyNot(house, CodeLibrary.Edition(edition), light, CircuitPurpose.Garage, [light]);
        Refused(Canada.Id, lights[0]).ShouldBeNull();
        Refused(Canada.Id, lights[1])!.ShouldContain("26-656");
        Refused("us-2023", lights[0]).ShouldNotBeNull();
    }
}
