namespace Circuitum.Core.Field;

/// <summary>What somebody said in the field. Entries are only added: what was said is never changed.</summary>
/// <param name="Id">Made on the device, so an entry that is sent twice is known: 8 to 40 letters, digits and hyphens.</param>
/// <param name="Task">What it is about, as <see cref="FieldTask.Key"/> names it.</param>
/// <param name="State">What was said.</param>
/// <param name="Value">A measured length, a reading or a remark; empty for none.</param>
/// <param name="Mark">What the plan said of it on the page that the person had, or empty.</param>
/// <param name="By">Who.</param>
/// <param name="At">When, UTC; where a device's clock is wrong, put right by how wrong it was when it sent.</param>
public sealed record FieldEntry(string Id, string Task, FieldSaid State, string Value, string Mark, string By, DateTime At)
{
    /// <summary>The number under which it was taken down, rising from 1; 0 before.</summary>
    public int Number { get; init; }
}

/// <summary>What somebody says of a task.</summary>
public enum FieldSaid
{
    /// <summary>It is done; of a test, it is as expected; of an inspection's item, it passed.</summary>
    Done,

    /// <summary>It is not done after all, or not looked at.</summary>
    Open,

    /// <summary>Not as it should be; the value says what was found.</summary>
    Wrong,

    /// <summary>A remark; nothing else changes.</summary>
    Note,

    /// <summary>Which of several measures holds; the value is the one.</summary>
    Settled,
}
