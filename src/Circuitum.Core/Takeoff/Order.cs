using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Takeoff;

/// <summary>An order of material with a supplier, for one stage.</summary>
public sealed record Order
{
    /// <summary>Rising from 1 in its job.</summary>
    public int Number { get; init; }

    /// <summary>By which the supplier knows it again.</summary>
    public string Key { get; init; } = "";

    /// <summary>The job's name.</summary>
    public string Job { get; init; } = "";

    /// <summary>The stage that it is for.</summary>
    public BuyStage Stage { get; init; }

    /// <summary>The supplier.</summary>
    public string Supplier { get; init; } = "";

    /// <summary>How far it is.</summary>
    public OrderState State { get; init; }

    /// <summary>When it was made, UTC.</summary>
    public DateTime Made { get; init; }

    /// <summary>What is ordered.</summary>
    public ImmutableArray<OrderLine> Lines { get; init; } = [];

    /// <summary>The supplier's receipt; empty before.</summary>
    public string Receipt { get; init; } = "";

    /// <summary>When it can be picked up; none before the supplier has said.</summary>
    public DateTime? PickUp { get; init; }

    /// <summary>How often it was tried to send.</summary>
    public int Tries { get; init; }

    /// <summary>What the last try came to, in a sentence.</summary>
    public string Said { get; init; } = "";

    /// <summary>What it comes to by the prices of the day, or those of the list before; lines without a price are not in it.</summary>
    public Money Total => Money.Dollars(Lines.Sum(l => l.Cost ?? 0));

    /// <summary>Whether it counts against what is needed.</summary>
    public bool Counts => State != OrderState.Cancelled;

    /// <summary>The order with what came in of a line.</summary>
    /// <param name="item">The line's item.</param>
    /// <param name="came">How much of it is there now in all.</param>
    /// <returns>The order, or none when there is no such line or more came than was ordered.</returns>
    public Order? Received(string item, double came)
    {
        if (Lines.FirstOrDefault(l => l.Item == item) is not { } line || came < 0 || came > line.Quantity || !double.IsFinite(came))
            return null;
        var lines = Lines.Replace(line, line with { Came = came });
        return this with
        {
            Lines = lines,
            State =
                lines.All(l => l.Came >= l.Quantity) ? OrderState.Received
                : lines.Any(l => l.Came > 0) ? OrderState.PartReceived
                : OrderState.Confirmed,
        };
    }
}

/// <summary>How far an order is.</summary>
public enum OrderState
{
    /// <summary>Kept until the supplier answers.</summary>
    Waiting,

    /// <summary>The supplier has it.</summary>
    Confirmed,

    /// <summary>Some of it is there.</summary>
    PartReceived,

    /// <summary>All of it is there.</summary>
    Received,

    /// <summary>Taken back before the supplier had it.</summary>
    Cancelled,
}

/// <summary>A line of an order.</summary>
public sealed record OrderLine
{
    /// <summary>The item's key of the takeoff.</summary>
    public string Item { get; init; } = "";

    /// <summary>What it is.</summary>
    public string Text { get; init; } = "";

    /// <summary>Pieces, feet or metres.</summary>
    public ItemUnit Unit { get; init; }

    /// <summary>How much.</summary>
    public double Quantity { get; init; }

    /// <summary>The same as one asks for it.</summary>
    public string Words { get; init; } = "";

    /// <summary>The supplier's number. May be empty.</summary>
    public string Number { get; init; } = "";

    /// <summary>What it costs in dollars, by the list before the supplier has answered; none without a price.</summary>
    public decimal? Cost { get; init; }

    /// <summary>What of it the supplier does not have and delivers later.</summary>
    public double BackOrdered { get; init; }

    /// <summary>What of it is there.</summary>
    public double Came { get; init; }
}
