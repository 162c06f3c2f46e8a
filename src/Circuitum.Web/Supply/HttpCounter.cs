using System.Text;
using System.Text.Json;
using Circuitum.Core.Takeoff;
using Circuitum.Formats.Supply;

namespace Circuitum.Web.Supply;

/// <summary>A counter in a process of its own, asked over HTTP: the order as JSON, its key in <c>Idempotency-Key</c>.</summary>
/// <param name="address">Where it takes orders.</param>
/// <param name="supplier">Whose it is.</param>
public sealed class HttpCounter(Uri address, string supplier) : ISupplierCounter, IDisposable
{
    private const int MostBytes = 2_000_000;

    private readonly HttpClient client = new() { Timeout = TimeSpan.FromSeconds(8), MaxResponseContentBufferSize = MostBytes };

    /// <inheritdoc/>
    public string Supplier => supplier;

    /// <inheritdoc/>
    public async Task<CounterAnswer> AnswerAsync(Order order, CancellationToken cancel)
    {
        using var request = new HttpRequestMessage(HttpMethod.Post, address);
        request.Headers.Add("Idempotency-Key", order.Key);
        request.Content = new StringContent(SupplyJson.Write(order), Encoding.UTF8, "application/json");
        try
        {
            using var response = await client.SendAsync(request, cancel);
            if (!response.IsSuccessStatusCode)
                throw new CounterException($"The counter answered with {(int)response.StatusCode}.");
            return SupplyJson.ReadAnswer(await response.Content.ReadAsStringAsync(cancel));
        }
        catch (HttpRequestException e)
        {
            throw new CounterException("The counter cannot be reached.", e);
        }
        catch (TaskCanceledException e) when (!cancel.IsCancellationRequested)
        {
            throw new CounterException("The counter did not answer in time. It may have the order: asked again, it will know it.", e);
        }
        catch (JsonException e)
        {
            throw new CounterException("The counter's answer cannot be read.", e);
        }
    }

    /// <inheritdoc/>
    public void Dispose() => client.Dispose();
}
