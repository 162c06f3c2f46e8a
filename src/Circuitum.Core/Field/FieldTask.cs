using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Field;

/// <summary>One thing to do in the field, as the plan has it.</summary>
/// <param name="Key">Names it for as long as its thing is in the plan, such as <c>set/kitchen.r1</c> or <c>pull/7</c>.</param>
/// <param name="Work">What is done.</param>
/// <param name="Room">The id of the room in which it is done; of a cable the room where it ends.</param>
/// <param name="Subject">The thing.</param>
/// <param name="Title">Its name in a list.</param>
/// <param name="Short">Where or what, in a few words beside the name.</param>
/// <param name="Lines">What a person has to know to do it.</param>
public sealed record FieldTask(
    string Key,
    FieldWork Work,
    string Room,
    Subject Subject,
    string Title,
    string Short,
    ImmutableArray<string> Lines
)
{
    /// <summary>The wall on whose strip it is seen; none for what is in a ceiling or on the outer face.</summary>
    public int? Wall { get; init; }

    /// <summary>What is written on the stud or on the cable; empty for nothing.</summary>
    public string Label { get; init; } = "";

    /// <summary>
    /// What the plan says of it that counts. Kept with a tick: when the plan says something else later, what was done is no longer what is
    /// planned.
    /// </summary>
    public string Mark { get; init; } = "";

    /// <summary>The circuit whose home run it is; none for all else.</summary>
    public int? HomeRun { get; init; }

    /// <summary>
    /// What the plan itself says of whether it is done: a pull that was ticked at the desk; none where only the field tells.
    /// </summary>
    public bool? DoneAtDesk { get; init; }

    /// <summary>The box at which it is done; empty where it is none.</summary>
    public string Box { get; init; } = "";

    /// <summary>The cable that is pulled, or none.</summary>
    public FieldCable? Cable { get; init; }

    /// <summary>What of a cable is to be cut, or none.</summary>
    public Length? Cut { get; init; }
}
