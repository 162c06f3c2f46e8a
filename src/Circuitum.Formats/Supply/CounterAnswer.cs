using System.Collections.Immutable;
using Circuitum.Core.Takeoff;

namespace Circuitum.Formats.Supply;

/// <summary>What a supplier's counter answers to an order.</summary>
/// <param name="Receipt">The receipt; the same for the same order, however often it comes.</param>
/// <param name="PickUp">When what is there can be picked up, UTC.</param>
/// <param name="Lines">What each line costs today, and what of it is missing.</param>
public sealed record CounterAnswer(string Receipt, DateTime PickUp, ImmutableArray<CounterLine> Lines)
{
    /// <summary>The order as the supplier has confirmed it.</summary>
    public Order Confirm(Order order)
    {
        var answers = Lines.ToLookup(l => l.Item, StringComparer.Ordinal);
        return order with
        {
            State = OrderState.Confirmed,
            Receipt = Receipt,
            PickUp = PickUp,
            Lines =
            [
                .. order.Lines.Select(l =>
                    answers[l.Item].FirstOrDefault() is { } answer
                        ? l with
                        {
                            Cost = answer.Cost ?? l.Cost,
                            BackOrdered = Math.Clamp(answer.Missing, 0, l.Quantity),
                        }
                        : l
                ),
            ],
        };
    }
}

/// <summary>What a supplier's counter says of a line.</summary>
/// <param name="Item">The item.</param>
/// <param name="Cost">What it costs today, in dollars; none when the supplier does not know it.</param>
/// <param name="Missing">What of it is out of stock and comes later.</param>
public sealed record CounterLine(string Item, decimal? Cost, double Missing);
