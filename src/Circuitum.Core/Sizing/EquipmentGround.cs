using Circuitum.Core.Codes;
using Circuitum.Core.Explain;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Sizing;

/// <summary>
/// The equipment ground of a run (250.122): by the breaker, and larger in proportion where the wire is larger than it had to be.
/// </summary>
/// <param name="Breaker">Rating of the breaker in amperes.</param>
/// <param name="Least">The size that the load and the breaker ask of the ungrounded conductors.</param>
/// <param name="Used">The size that is run.</param>
/// <param name="Needed">The ground that is needed, AWG copper.</param>
/// <param name="There">The ground in the sheathed cable, or none for a size in which it is not made.</param>
public sealed record EquipmentGround(int Breaker, WireSize Least, WireSize Used, WireSize Needed, WireSize? There)
{
    /// <summary>Whether the ground in the cable is enough.</summary>
    public bool Enough => There is { } there && Row(there).Cmil >= Row(Needed).Cmil;

    /// <summary>The ground that a run needs.</summary>
    /// <param name="breaker">Rating of the breaker in amperes, 400 at most.</param>
    /// <param name="least">Size that load and breaker ask for.</param>
    /// <param name="used">Size that is run.</param>
    /// <param name="edition">The edition.</param>
    public static WireSize For(int breaker, WireSize least, WireSize used, CodeEdition edition)
    {
        if (used.IsSection)
            return BoardSizing.Protective(used, edition);
        var table = Row(edition.GroundFor(breaker));
        var (small, large) = (Row(least).Cmil, Row(used).Cmil);

        // Never larger than the conductors that it goes with (250.122(A)): an air conditioner's large breaker asks for no more.
        if (large <= small || !edition.GroundGrows)
            return table.Cmil > large ? used : table.Size;
        var needed = (double)table.Cmil * large / small;

        // The circular mils of the table are rounded, so a thousandth is let pass.
        return CodeLibrary.Conductors.Copper.First(r => r.Cmil >= needed * 0.999 || r.Size == used).Size;
    }

    /// <summary>The ground that a run in sheathed cable needs and has.</summary>
    public static EquipmentGround InCable(int breaker, WireSize least, WireSize used, CodeEdition edition) =>
        new(breaker, least, used, For(breaker, least, used, edition), CodeLibrary.Conductors.Cable(used)?.Ground);

    /// <summary>How the size came about.</summary>
    public Derivation Derivation(CodeEdition edition)
    {
        var table = Row(edition.GroundFor(Breaker));
        return new("Equipment ground", $"{Needed.Told}")
        {
            Formula =
                Least == Used || !edition.GroundGrows
                    ? $"{Breaker} A breaker: {table.Size.Told}"
                    : $"{table.Cmil:#,0} x {Row(Used).Cmil:#,0} / {Row(Least).Cmil:#,0} = "
                        + $"{(double)table.Cmil * Row(Used).Cmil / Row(Least).Cmil:#,0} cmil",
            Citation = edition.Cite("wire.ground"),
            Because =
                Least == Used || !edition.GroundGrows
                    ? Needed == table.Size
                        ? "By the breaker's size."
                        : "By the breaker's size, and no larger than the wires that it goes with."
                    : $"The wire was made larger than {Least.Told}, so the ground grows in proportion."
                        + $"{(There is { } there ? $" The cable holds {there} AWG{(Enough ? "" : ", which is too small")}." : "")}",
        };
    }

    private static ConductorRow Row(WireSize size) => CodeLibrary.Conductors.Copper.First(r => r.Size == size);
}
