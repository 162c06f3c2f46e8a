namespace Circuitum.Formats.Documents;

/// <summary>A photograph from the field.</summary>
/// <param name="Task">What it shows, as a task of the field plan names it.</param>
/// <param name="By">Who took it.</param>
/// <param name="At">When, UTC.</param>
/// <param name="Jpeg">Its bytes.</param>
public sealed record FieldPhoto(string Task, string By, DateTime At, ReadOnlyMemory<byte> Jpeg);
