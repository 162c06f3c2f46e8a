using Circuitum.Core.Takeoff;
using Circuitum.Formats.Supply;

namespace Circuitum.Web.Supply;

/// <summary>A supplier's counter that takes orders.</summary>
public interface ISupplierCounter
{
    /// <summary>Whose it is.</summary>
    string Supplier { get; }

    /// <summary>Gives it an order. The same order, known by its key, is one however often it comes.</summary>
    /// <exception cref="CounterException">It does not answer.</exception>
    Task<CounterAnswer> AnswerAsync(Order order, CancellationToken cancel);
}

/// <summary>A counter does not answer.</summary>
/// <param name="message">Why, in a sentence for the person who ordered.</param>
/// <param name="inner">What happened.</param>
public sealed class CounterException(string message, Exception? inner = null) : Exception(message, inner);
