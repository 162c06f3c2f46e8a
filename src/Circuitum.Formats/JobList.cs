namespace Circuitum.Formats;

/// <summary>A list of a job, for the workbook and as CSV.</summary>
/// <param name="Name">Its name in an address and of a file.</param>
/// <param name="Title">What it is called.</param>
/// <param name="Columns">Headings.</param>
/// <param name="Rows">Cells: text, whole numbers, decimals or nothing.</param>
public sealed record JobList(string Name, string Title, string[] Columns, IReadOnlyList<object?[]> Rows);
