using System.Collections.Immutable;

namespace Circuitum.Web.Work;

/// <summary>Words of the trade and of this program, each in a sentence or two, for whoever meets one for the first time.</summary>
public static class Terms
{
    /// <summary>All of them, by their words.</summary>
    public static ImmutableSortedDictionary<string, string> All { get; } =
        new Dictionary<string, string>
        {
            ["AFCI"] =
                "Arc-fault protection: opens the circuit when a damaged cable or a loose terminal sparks. In the breaker, or in the "
                + "first device of the circuit.",
            ["amendment"] =
                "What the local authority has changed in the published edition. It is laid over the edition as a layer and can "
                + "be switched on and off.",
            ["box"] =
                "Whatever is set into the frame for a device or a light: receptacles, switches, lights, alarms, outlets of appliances.",
            ["box fill"] = "The room that wires, devices, clamps and grounds take up in a box, held against the volume of the box.",
            ["branch circuit"] = "All that hangs on one breaker.",
            ["breaker"] = "Opens the circuit when too much current flows. Its rating follows the smallest wire on the circuit.",
            ["derivation"] =
                "The steps by which a number came about, with the section of the code behind each. Press the number to see it.",
            ["disconnect"] = "A switch with which a person who works on equipment cuts it off, within sight of it.",
            ["feeder"] = "The conductors from one panel to another.",
            ["finding"] =
                "Something that the program found in the plan: a must is against a rule, a should is worth a look, a note is "
                + "only told.",
            ["GFCI"] =
                "Ground-fault protection: opens the circuit when current goes another way than through its own wires, as through a "
                + "person.",
            ["home run"] = "The cable from the panel to the first box of a circuit.",
            ["leg"] = "One of the two lines of the service. Loads are spread over both.",
            ["lock"] = "A locked circuit, run or breaker is left as it is when the rest is planned again.",
            ["minimum circuit ampacity"] = "What the maker of equipment says its wire must carry, on the nameplate as MCA.",
            ["nameplate"] = "The plate on equipment with its volts and amperes. Until someone has read it the program takes a typical one.",
            ["pigtail"] =
                "A short piece of wire from the splice in a box to its device, so that the circuit goes on when the device is out.",
            ["rough-in"] = "Boxes, cables and staples while the frame is open, before boards go on.",
            ["service"] = "The supply of the house from the utility up to the first disconnect.",
            ["space"] = "A place in the panel for a breaker of one pole; a 240 V breaker takes two, a tandem holds two in one.",
            ["travelers"] = "The wires between two switches that work the same light.",
            ["wish"] = "What the owner wants somewhere, such as a desk or a bed. Boxes follow it.",
        }.ToImmutableSortedDictionary(StringComparer.OrdinalIgnoreCase);
}
