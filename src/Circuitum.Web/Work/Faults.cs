using Circuitum.Storage;
using Microsoft.AspNetCore.Diagnostics;
using Microsoft.Extensions.Diagnostics.HealthChecks;

namespace Circuitum.Web.Work;

/// <summary>
/// What becomes of an exception that nobody caught: a request that was formed badly is the sender's, everything else is ours,
/// with an id by which the log is searched. Nothing of a job comes into the log.
/// </summary>
internal sealed partial class Faults(ILogger<Faults> log) : IExceptionHandler
{
    /// <summary>The item of a request under which the sentence for the problem page stands.</summary>
    public const string Sentence = "fault";

    public ValueTask<bool> TryHandleAsync(HttpContext httpContext, Exception exception, CancellationToken cancellationToken)
    {
        switch (exception)
        {
            case BadHttpRequestException bad:
                httpContext.Response.StatusCode = bad.StatusCode;
                break;
            case InvalidDataException or IOException when exception is not StoreException && httpContext.Request.HasFormContentType:
                httpContext.Response.StatusCode = exception.Message.Contains("limit", StringComparison.OrdinalIgnoreCase)
                    ? StatusCodes.Status413PayloadTooLarge
                    : StatusCodes.Status400BadRequest;
                break;
            case StoreException store:
                httpContext.Response.StatusCode = StatusCodes.Status507InsufficientStorage;
                httpContext.Items[Sentence] = store.Message;
                Store(log, httpContext.TraceIdentifier, store.Message, store.InnerException?.GetType().Name ?? "");
                break;
            case OperationCanceledException when httpContext.RequestAborted.IsCancellationRequested:
                httpContext.Response.StatusCode = 499;
                break;
            default:
                httpContext.Response.StatusCode = StatusCodes.Status500InternalServerError;
                Unexpected(
                    log,
                    httpContext.TraceIdentifier,
                    httpContext.Request.Method,
                    httpContext.Request.Path.Value ?? "",
                    exception.GetType().Name,
                    exception.StackTrace ?? ""
                );
                break;
        }

        // The problem page is drawn by the handler that follows.
        return ValueTask.FromResult(false);
    }

    [LoggerMessage(LogLevel.Error, "{Id}: {Method} {Path} met {Kind}\n{Stack}")]
    private static partial void Unexpected(ILogger log, string id, string method, string path, string kind, string stack);

    [LoggerMessage(LogLevel.Error, "{Id}: {Sentence} {Kind}")]
    private static partial void Store(ILogger log, string id, string sentence, string kind);
}

/// <summary>Asks the database whether it answers.</summary>
internal sealed class DatabaseHealth(JobDesk desk) : IHealthCheck
{
    public async Task<HealthCheckResult> CheckHealthAsync(HealthCheckContext context, CancellationToken cancellationToken = default) =>
        await desk.AnswersAsync(cancellationToken) ? HealthCheckResult.Healthy() : HealthCheckResult.Unhealthy();
}
