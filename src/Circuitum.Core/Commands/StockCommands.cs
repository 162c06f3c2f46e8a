using System.Collections.Immutable;
using System.Globalization;
using Circuitum.Core.Edits;
using Circuitum.Core.Intake;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Takeoff;

namespace Circuitum.Core.Commands;

/// <summary>Writes down a reel, or what is left on one.</summary>
/// <param name="Cable">Its cable, such as <c>12-2</c>.</param>
/// <param name="Left">What is on it now, what this job has pulled from it already taken off.</param>
/// <param name="Place">Where it is. May be empty.</param>
/// <param name="Reel">The reel, or none for one that is not known yet.</param>
public sealed record KeepReel(string Cable, Length Left, string Place = "", string? Reel = null) : JobCommand("write down a reel")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        var (stock, cable) = (job.Stock ?? Stock.None, Cable.Trim());
        if (!StockRules.Cable().IsMatch(cable))
            return CommandResult.Refuse($"Cable: '{JobRules.Short(cable)}' is none. Write it like 12-2.");
        if (Left < Length.Zero || Left > StockRules.LongestReel)
            return CommandResult.Refuse($"Left on the reel: {LengthText.Show(Left, job.Units)} is outside 0 to 5000 ft.");
        if (Reel is null)
        {
            var id = Enumerable
                .Range(1, StockRules.MostReels + 1)
                .Select(n => string.Create(CultureInfo.InvariantCulture, $"{cable}.{n}"))
                .First(n => stock.Reels.All(r => r.Id != n));
            var added = new Reel
            {
                Id = id,
                Cable = cable,
                Held = Left,
                Place = Place.Trim(),
            };
            return CommandResult.Checked(job with { Stock = stock with { Reels = stock.Reels.Add(added) } });
        }

        if (stock.Reels.FirstOrDefault(r => r.Id == Reel) is not { } known)
            return CommandResult.Refuse($"There is no reel '{JobRules.Short(Reel)}' any more.");

        // What was pulled from it stays pulled: what it held is what is left and that.
        var pulled = job.Decisions.Pulled.Where(p => p.Reel == Reel).Aggregate(Length.Zero, (sum, p) => sum + (p.Measured ?? Length.Zero));
        var kept = known with { Cable = cable, Held = Left + pulled, Place = Place.Trim() };
        return CommandResult.Checked(job with { Stock = stock with { Reels = stock.Reels.Replace(known, kept) } });
    }
}

/// <summary>Takes a reel off the list.</summary>
/// <param name="Reel">The reel.</param>
public sealed record RemoveReel(string Reel) : JobCommand("take a reel off")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (job.Stock is not { } stock || stock.Reels.FirstOrDefault(r => r.Id == Reel) is not { } gone)
            return CommandResult.Refuse($"There is no reel '{JobRules.Short(Reel)}' any more.");
        return CommandResult.Checked(
            job with
            {
                Stock = stock with { Reels = stock.Reels.Remove(gone) },
                Decisions = job.Decisions with
                {
                    Pulled = [.. job.Decisions.Pulled.Select(p => p.Reel == Reel ? p with { Reel = null } : p)],
                },
            }
        );
    }
}

/// <summary>Writes down what lies on the shelf of one item.</summary>
/// <param name="Item">Its key of the takeoff.</param>
/// <param name="Quantity">How many, or how many feet, or metres in a house of metres; 0 for none.</param>
public sealed record KeepShelf(string Item, int Quantity) : JobCommand("write down the shelf")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        if (Quantity is < 0 or > StockRules.MostOfOne)
            return CommandResult.Refuse($"On the shelf: {Quantity} is outside 0 to {StockRules.MostOfOne}.");
        var stock = job.Stock ?? Stock.None;
        var rest = stock.Shelf.RemoveAll(s => s.Key == Item);
        ImmutableArray<ShelfItem> shelf =
            Quantity == 0 ? rest : rest.Add(new ShelfItem { Key = Item, Quantity = ShelfUnits.Kept(Item, Quantity, job.Units) });
        return CommandResult.Checked(job with { Stock = stock with { Shelf = shelf } });
    }
}

/// <summary>Assumes another waste of cable from now on, as pulls have shown it.</summary>
/// <param name="Percent">In percent of what is cut.</param>
public sealed record AssumeWaste(int Percent) : JobCommand("assume another waste")
{
    /// <inheritdoc/>
    public override CommandResult Apply(Job job)
    {
        var (preferences, problem) = PreferenceFields.Find("wastePercent")!.Write(job.Preferences, $"{Percent}");
        return preferences is null ? CommandResult.Refuse(problem) : CommandResult.Checked(job with { Preferences = preferences });
    }
}
