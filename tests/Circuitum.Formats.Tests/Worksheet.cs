using System.Diagnostics;
using System.Globalization;

namespace Circuitum.Formats.Tests;

/// <summary>Formulas worked out by a spreadsheet program.</summary>
internal static class Worksheet
{
    /// <summary>The values of rows of formulas.</summary>
    internal static async Task<List<double[]>> Work(IEnumerable<string[]> rows)
    {
        var folder = Directory.CreateTempSubdirectory("circuitum-sheet-").FullName;
        try
        {
            File.WriteAllLines(Path.Combine(folder, "asked.csv"), rows.Select(r => string.Join(',', r.Select(f => $"\"{f}\""))));
            using var program = Process.Start(
                new ProcessStartInfo("ssconvert", ["--recalc", "asked.csv", "worked.csv"])
                {
                    WorkingDirectory = folder,
                    RedirectStandardError = true,
                    Environment = { ["LC_ALL"] = "C.UTF-8" },
                }
            )!;
            var said = await program.StandardError.ReadToEndAsync();
            await program.WaitForExitAsync();
            program.ExitCode.ShouldBe(0, said);
            return
            [
                .. File.ReadAllLines(Path.Combine(folder, "worked.csv"))
                    .Select(l =>
                        l.Split(',').Where(c => c.Length > 0).Select(c => double.Parse(c, CultureInfo.InvariantCulture)).ToArray()
                    ),
            ];
        }
        finally
        {
            Directory.Delete(folder, true);
        }
    }
}
