using System.Collections.Immutable;
using Circuitum.Core.Codes;

namespace Circuitum.Web.Work;

/// <summary>Words of the trade and of this program, each in a sentence or two, for whoever meets one for the first time.</summary>
public static class Terms
{
    // Words of panels: of arc-fault devices, of wire in a wooden frame, of two legs.
    private static readonly ImmutableHashSet<string> OfPanels =
    [
        "AFCI",
        "box fill",
        "branch circuit",
        "breaker",
        "feeder",
        "GFCI",
        "home run",
        "leg",
        "minimum circuit ampacity",
        "pigtail",
        "rough-in",
        "space",
        "travelers",
    ];

    private static readonly ImmutableSortedDictionary<string, string> OfBoards = new Dictionary<string, string>
    {
        ["demand"] = "What of the connected load is taken to run at one time: each use by its share, the diversity.",
        ["earth fault loop"] =
            "The way of a fault current: from the supply over the line to the fault and back by the protective conductor. The less its "
            + "impedance, the faster the breaker opens.",
        ["line"] = "One of the three conductors of the supply that carry current to the loads. Loads are spread over all of them.",
        ["main switch"] = "Cuts off the whole board, all lines and the neutral.",
        ["MCB"] = "Miniature circuit breaker: opens its circuit when too much current flows. Its curve says how soon at a short one.",
        ["point"] = "Whatever is fed: a socket-outlet, a lamp, a switch, the connection of an appliance.",
        ["radial"] = "A circuit that ends at its last point.",
        ["residual current"] =
            "What of the current does not come back by its own wires. The device of a section opens when it is over its rating.",
        ["ring"] = "A circuit of socket-outlets that comes back to its breaker, so that each point is fed from two sides.",
        ["section"] = "The ways of a board behind one residual-current device.",
        ["sub-main"] = "The cable from one board to another.",
        ["unbalance"] = "How far the line farthest from the mean of the three is away from it, as a share of the mean.",
        ["way"] = "A row of a board with a place for a breaker on each line.",
    }.ToImmutableSortedDictionary(StringComparer.OrdinalIgnoreCase);

    /// <summary>The words of a family of rules with what they mean.</summary>
    /// <param name="edition">The rules.</param>
    public static ImmutableSortedDictionary<string, string> For(CodeEdition edition) =>
        edition.Board is null ? All : All.RemoveRange(OfPanels).SetItems(OfBoards);

    /// <summary>All that pages tell, by their words.</summary>
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
