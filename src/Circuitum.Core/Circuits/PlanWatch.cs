namespace Circuitum.Core.Circuits;

/// <summary>
/// Follows a division while it is made, and can end it early: then the best so far is taken. One thread plans, others look.
/// </summary>
public sealed class PlanWatch : IDisposable
{
    private readonly CancellationTokenSource stop = new();

    private volatile string says = "The planning begins.";

    /// <summary>How far it is, in a sentence.</summary>
    public string Says => says;

    /// <summary>Whether somebody ended it early.</summary>
    public bool Stopped => stop.IsCancellationRequested;

    /// <summary>Is cancelled when somebody ends it early, or nobody waits for it any more.</summary>
    public CancellationToken Ended => stop.Token;

    /// <summary>Ends it with the best so far.</summary>
    public void Stop() => stop.Cancel();

    /// <inheritdoc/>
    public void Dispose() => stop.Dispose();

    /// <summary>Goes on unless it was ended.</summary>
    /// <exception cref="OperationCanceledException">It was.</exception>
    public void GoOn() => stop.Token.ThrowIfCancellationRequested();

    /// <summary>Says how far it is.</summary>
    /// <param name="sentence">For the one who waits.</param>
    public void Say(string sentence) => says = sentence;
}
