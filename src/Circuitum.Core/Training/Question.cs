using System.Collections.Immutable;

namespace Circuitum.Core.Training;

/// <summary>What is practised.</summary>
public enum Exercise
{
    /// <summary>Which places a protective device covers.</summary>
    Reach,

    /// <summary>What is dead with line and load exchanged on a device.</summary>
    LineLoad,

    /// <summary>What goes dark when a wire parts.</summary>
    Dark,

    /// <summary>What a meter's readings mean.</summary>
    Tester,

    /// <summary>Which wire and breaker a load takes.</summary>
    Size,

    /// <summary>What an inspector finds in a wall.</summary>
    Wall,

    /// <summary>What an inspector finds on a walk through the house.</summary>
    Walk,
}

/// <summary>Something to choose.</summary>
/// <param name="Text">What it says.</param>
/// <param name="Right">Whether it is right to choose it.</param>
/// <param name="Place">Where it is seen, on a walk; otherwise empty.</param>
/// <param name="Why">Why it is right to choose it, where each has a reason of its own.</param>
public sealed record Choice(string Text, bool Right, string Place = "", string Why = "");

/// <summary>A question that is made of a house and a number, and by them again.</summary>
/// <param name="Kind">What is practised.</param>
/// <param name="Text">What is asked.</param>
/// <param name="Facts">What one has to know.</param>
/// <param name="Choices">What can be chosen; one is right, or several where the text says so.</param>
/// <param name="Why">Why that is right.</param>
public sealed record Question(Exercise Kind, string Text, ImmutableArray<string> Facts, ImmutableArray<Choice> Choices, string Why)
{
    /// <summary>Whether several can be right.</summary>
    public bool Many => Kind is Exercise.Reach or Exercise.LineLoad or Exercise.Dark or Exercise.Walk;

    /// <summary>
    /// Points of an answer, of one: each right choice counts, each wrong one takes as much away, never less than nothing.
    /// </summary>
    /// <param name="chosen">The places of what was chosen.</param>
    public double Score(IReadOnlyCollection<int> chosen)
    {
        var right = Choices.Count(c => c.Right);
        var hit = chosen.Distinct().Count(i => i >= 0 && i < Choices.Length && Choices[i].Right);
        var wrong = chosen.Distinct().Count(i => i >= 0 && i < Choices.Length && !Choices[i].Right);
        return right == 0 ? (wrong == 0 ? 1 : 0) : Math.Max(0, (double)(hit - wrong) / right);
    }
}
