using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Takeoff;

/// <summary>What one box, cable, hole or panel needs of an item.</summary>
/// <param name="Item">The item.</param>
/// <param name="Stage">When it is needed.</param>
/// <param name="Amount">How many; of what is measured, units of <see cref="Length"/>.</param>
/// <param name="From">What it comes from.</param>
/// <param name="Place">Where and for which circuit.</param>
public sealed record MaterialPiece(MaterialItem Item, BuyStage Stage, long Amount, Subject From, PieceOrigin Place)
{
    /// <summary>The amount in the item's unit.</summary>
    public double Quantity => Item.Type.Unit.Amount(Amount);
}

/// <summary>Where something is needed.</summary>
/// <param name="Room">The room's id; none for the house as a whole.</param>
/// <param name="Circuit">The circuit; none for what serves several.</param>
/// <param name="Panel">The panel from which it is fed, or in which it is; none for what no panel feeds.</param>
/// <param name="Held">Why it should not be bought yet; empty when it can be.</param>
public sealed record PieceOrigin(string? Room, int? Circuit, string? Panel, string Held);
