using System.Collections.Immutable;

namespace Circuitum.Core.Bench;

/// <summary>A quick question that needs no job. The page, the HTTP interface and the command line all ask by these words.</summary>
/// <param name="Name">Its word, such as <c>wire</c>.</param>
/// <param name="Title">What it answers.</param>
/// <param name="Fields">What has to be told.</param>
/// <param name="Work">Works the answer out.</param>
public sealed record BenchQuestion(string Name, string Title, ImmutableArray<BenchField> Fields, Func<BenchInput, BenchAnswer> Work);
