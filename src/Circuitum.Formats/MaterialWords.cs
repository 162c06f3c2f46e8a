using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;

namespace Circuitum.Formats;

/// <summary>How material is called on pages, papers and in files.</summary>
public static class MaterialWords
{
    /// <summary>A stage of buying in words.</summary>
    public static string Stage(BuyStage stage) =>
        stage switch
        {
            BuyStage.Service => "service",
            BuyStage.RoughIn => "rough-in",
            BuyStage.Trim => "trim",
            _ => "outside",
        };

    /// <summary>The stage that a word names, or none.</summary>
    public static BuyStage? Stage(string? word) =>
        Enum.GetValues<BuyStage>().Where(s => Stage(s) == word).Select(s => (BuyStage?)s).FirstOrDefault();

    /// <summary>A unit in words.</summary>
    public static string Unit(ItemUnit unit) => unit.Measured() ? unit.Sign().Trim() : "each";
}
