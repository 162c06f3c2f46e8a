namespace Circuitum.Web.Supply;

/// <summary>Tries orders again that wait for the supplier, as long as the program runs.</summary>
public sealed class OrderOffice(SupplyDesk desk, ILogger<OrderOffice> log) : BackgroundService
{
    private static readonly TimeSpan Between = TimeSpan.FromSeconds(30);

    /// <inheritdoc/>
    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        using var timer = new PeriodicTimer(Between);
        try
        {
            while (await timer.WaitForNextTickAsync(stoppingToken))
            {
                try
                {
                    await desk.SendWaitingAsync(stoppingToken);
                }
                catch (Exception e) when (e is not OperationCanceledException)
                {
                    // Next time is soon; what waits is kept.
                    log.LogWarning(e, "Orders could not be tried again");
                }
            }
        }
        catch (OperationCanceledException)
        {
            // The program stops.
        }
    }
}
