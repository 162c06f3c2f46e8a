using System.Collections.Immutable;
using Circuitum.Core.Explain;

namespace Circuitum.Core.Bench;

/// <summary>A quick question that needs no job. The page, the HTTP interface and the command line all ask by these words.</summary>
/// <param name="Name">Its word, such as <c>wire</c>.</param>
/// <param name="Title">What it answers.</param>
/// <param name="Fields">What has to be told.</param>
/// <param name="Work">Works the answer out.</param>
public sealed record BenchQuestion(string Name, string Title, ImmutableArray<BenchField> Fields, Func<BenchInput, BenchAnswer> Work);

/// <summary>One thing that has to be told.</summary>
/// <param name="Name">Its word, such as <c>current-carrying</c>.</param>
/// <param name="Title">What it means, with its unit.</param>
/// <param name="Default">What is taken when nothing is said; empty when it may be left out or must be told.</param>
/// <param name="Choices">The words to choose from, or none for free ones.</param>
public sealed record BenchField(string Name, string Title, string Default, params ImmutableArray<string> Choices)
{
    /// <summary>May be told several times.</summary>
    public bool Many { get; init; }

    /// <summary>There is no answer without it.</summary>
    public bool Needed { get; init; }

    /// <summary>What it looks like.</summary>
    public string Example { get; init; } = "";
}

/// <summary>An answer.</summary>
/// <param name="Values">The results by name: numbers, words, yes or no, or lists of them.</param>
/// <param name="Derivation">How it came about.</param>
public sealed record BenchAnswer(ImmutableArray<(string Name, object? Value)> Values, Derivation Derivation)
{
    /// <summary>A result.</summary>
    public object? this[string name] => Values.FirstOrDefault(v => v.Name == name).Value;
}

/// <summary>What was said wrongly; the sentence names the field.</summary>
/// <param name="field">The field.</param>
/// <param name="sentence">What to say instead.</param>
public sealed class BenchException(string field, string sentence) : Exception($"{field}: {sentence}")
{
    /// <summary>The field.</summary>
    public string Field { get; } = field;
}
