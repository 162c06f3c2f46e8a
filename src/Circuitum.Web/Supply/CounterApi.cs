using System.Text;
using System.Text.Json;
using Circuitum.Formats.Supply;

namespace Circuitum.Web.Supply;

/// <summary>The made-up counter for another process: orders come as JSON, which no form of a page elsewhere can send.</summary>
internal static class CounterApi
{
    private const int MostBytes = 2_000_000;

    internal static void Map(WebApplication app, MadeUpCounter counter) =>
        app.MapPost("/counter/orders", async (HttpRequest request, CancellationToken cancel) =>
            {
                if (!request.HasJsonContentType() || request.ContentLength is null or > MostBytes)
                    return Results.Text("Send one order as JSON.", statusCode: StatusCodes.Status415UnsupportedMediaType);
                try
                {
                    using var reader = new StreamReader(request.Body, Encoding.UTF8);
                    var order = SupplyJson.ReadOrder(await reader.ReadToEndAsync(cancel));
                    if (order.Key.Length != 32 || order.Lines.IsDefaultOrEmpty)
                        return Results.Text("The order has no key or no lines.", statusCode: StatusCodes.Status422UnprocessableEntity);
                    return Results.Text(SupplyJson.Write(await counter.AnswerAsync(order, cancel)), "application/json", Encoding.UTF8);
                }
                catch (JsonException)
                {
                    return Results.Text("That is no order.", statusCode: StatusCodes.Status422UnprocessableEntity);
                }
                catch (CounterException e)
                {
                    return Results.Text(e.Message, statusCode: StatusCodes.Status503ServiceUnavailable);
                }
            })
            .ExcludeFromDescription();
}
