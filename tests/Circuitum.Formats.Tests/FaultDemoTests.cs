using Circuitum.Core.Simulation;

namespace Circuitum.Formats.Tests;

/// <summary>The table of faults at every place of both demonstration houses.</summary>
public class FaultDemoTests
{
    [Theory]
    [InlineData("tamarack-row")]
    [InlineData("gull-cottage")]
    public void A_fault_looks_as_the_table_says_at_each_place(string demo)
    {
        var table = Path.Combine(JobFileTests.Root(), "tests", "Circuitum.Core.Tests", "Cases", "faults.md");
        var rows = File.ReadAllLines(table).Where(l => l.StartsWith('|')).Skip(2).ToList();
        rows.Count.ShouldBeGreaterThan(20);
        var a = PaperPagesTests.House(demo);
        var wirings = HouseWirings.Of(a).ToList();
        foreach (var row in rows)
        {
            var cells = row.Trim('|').Split('|').Select(c => c.Trim()).ToArray();
            wirings.Sum(w => FaultCheck.Try(a, w, cells)).ShouldBeGreaterThan(0, row);
        }
    }
}
