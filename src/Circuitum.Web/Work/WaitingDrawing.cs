using Circuitum.Formats.Dxf;

namespace Circuitum.Web.Work;

/// <summary>A drawing that was read and waits for a person to choose its layers.</summary>
/// <param name="Name">The file's name without its ending.</param>
/// <param name="Drawing">The drawing.</param>
/// <param name="Job">The job it goes into, or none for a new one.</param>
/// <param name="Storey">The storey it goes onto.</param>
public sealed record WaitingDrawing(string Name, DxfDrawing Drawing, string? Job, string? Storey);
