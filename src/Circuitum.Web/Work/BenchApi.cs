using System.Text;
using Circuitum.Core.Bench;
using Circuitum.Formats;
using Microsoft.OpenApi;

namespace Circuitum.Web.Work;

/// <summary>The bench over HTTP: each question under <c>/api/bench</c>, with its description under <c>/openapi/v1.json</c>.</summary>
public static class BenchApi
{
    /// <summary>Adds the routes.</summary>
    public static void Map(WebApplication app)
    {
        app.MapOpenApi();
        app.MapGet("/api/bench", () => Json(BenchJson.WriteQuestions()))
            .WithTags("bench")
            .WithSummary("The questions and what each asks for.")
            .Produces(200, contentType: "application/json");
        foreach (var question in BenchDesk.Questions)
        {
            app.MapGet($"/api/bench/{question.Name}", (HttpRequest request) => Answer(question, request.Query))
                .WithTags("bench")
                .WithSummary(question.Title)
                .WithName($"bench-{question.Name}")
                .Produces(200, contentType: "application/json")
                .Produces(400, contentType: "application/json")
                .AddOpenApiOperationTransformer(
                    (operation, _, _) =>
                    {
                        operation.Parameters = [.. question.Fields.Select(Parameter)];
                        return Task.CompletedTask;
                    }
                );
        }

        app.MapGet("/api/bench/{question}", (string question) =>
                Json(
                    BenchJson.Write(
                        new BenchException(
                            "question",
                            $"'{(question.Length > 24 ? question[..24] : question)}' is not one. Ask one of "
                                + $"{string.Join(", ", BenchDesk.Questions.Select(q => q.Name))}."
                        )
                    ),
                    404
                )
            )
            .ExcludeFromDescription();
    }

    private static IResult Answer(BenchQuestion question, IQueryCollection query)
    {
        try
        {
            return Json(BenchJson.Write(question, BenchDesk.Ask(question, FieldsOf(query))));
        }
        catch (BenchException problem)
        {
            return Json(BenchJson.Write(problem), 400);
        }
    }

    /// <summary>What a query tells.</summary>
    public static IEnumerable<(string Name, string Value)> FieldsOf(IQueryCollection query) =>
        query.SelectMany(q => q.Value.Select(v => (q.Key, v ?? "")));

    private static IResult Json(string text, int status = 200) => Results.Text(text, "application/json", Encoding.UTF8, status);

    private static IOpenApiParameter Parameter(BenchField f) =>
        new OpenApiParameter
        {
            Name = f.Name,
            In = ParameterLocation.Query,
            Required = f.Needed,
            Description = f.Example.Length > 0 ? $"{f.Title}. Such as {f.Example}." : f.Title,
            Schema = f.Many ? new OpenApiSchema { Type = JsonSchemaType.Array, Items = Schema(f) } : Schema(f),
        };

    private static OpenApiSchema Schema(BenchField f) =>
        new()
        {
            Type = JsonSchemaType.String,
            Default = f.Default.Length > 0 ? f.Default : null,
            Enum = f.Choices.Length > 0 ? [.. f.Choices.Select(c => (System.Text.Json.Nodes.JsonNode)c)] : null,
        };
}
