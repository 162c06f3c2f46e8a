namespace Circuitum.Formats.Documents;

/// <summary>A photograph from the field.</summary>
/// <param name="Number">Its number in the job.</param>
/// <param name="Task">What it shows, as a task of the field plan names it.</param>
/// <param name="By">Who took it.</param>
/// <param name="At">When, UTC.</param>
/// <param name="Jpeg">Its bytes.</param>
/// <param name="Older">How many older ones of the same thing are kept with the job and not shown.</param>
public sealed record FieldPhoto(int Number, string Task, string By, DateTime At, ReadOnlyMemory<byte> Jpeg, int Older = 0);
