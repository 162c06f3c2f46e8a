using System.Collections.Immutable;

namespace Circuitum.Core.Field;

/// <summary>How far a sort of work is.</summary>
/// <param name="Work">What.</param>
/// <param name="Done">So many are done.</param>
/// <param name="All">Of so many.</param>
public readonly record struct FieldProgress(FieldWork Work, int Done, int All)
{
    /// <summary>Such as <c>42 of 131 set</c>.</summary>
    public string InWords => $"{Done} of {All} {FieldWords.Done(Work)}";

    /// <summary>How far each sort of work is, of those that the tasks have.</summary>
    public static ImmutableArray<FieldProgress> Of(IEnumerable<FieldTask> tasks, FieldState state) =>
        [.. tasks.GroupBy(t => t.Work).OrderBy(g => g.Key).Select(g => new FieldProgress(g.Key, g.Count(state.IsDone), g.Count()))];
}

/// <summary>Field work in words.</summary>
public static class FieldWords
{
    /// <summary>As the head of a list, such as <c>Boxes to set</c>.</summary>
    public static string Head(FieldWork work) =>
        work switch
        {
            FieldWork.Set => "Boxes to set",
            FieldWork.Pull => "Cables to pull",
            FieldWork.MakeUp => "Boxes to make up",
            FieldWork.Secure => "Staples and plates",
            FieldWork.Photograph => "Photographs",
            FieldWork.Test => "Tests",
            _ => "Inspections",
        };

    /// <summary>In a word for a tab.</summary>
    public static string Tab(FieldWork work) =>
        work switch
        {
            FieldWork.Set => "Set",
            FieldWork.Pull => "Pull",
            FieldWork.MakeUp => "Make up",
            FieldWork.Secure => "Secure",
            FieldWork.Photograph => "Photos",
            FieldWork.Test => "Test",
            _ => "Inspect",
        };

    /// <summary>What one has of those that are done, such as <c>set</c> or <c>made up</c>.</summary>
    public static string Done(FieldWork work) =>
        work switch
        {
            FieldWork.Set => "set",
            FieldWork.Pull => "pulled",
            FieldWork.MakeUp => "made up",
            FieldWork.Secure => "secured",
            FieldWork.Photograph => "photographed",
            FieldWork.Test => "tested",
            _ => "passed",
        };
}
