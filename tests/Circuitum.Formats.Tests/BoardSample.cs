using Circuitum.Core.Jobs;

namespace Circuitum.Formats.Tests;

/// <summary>The demo villa of the split board.</summary>
internal static class BoardSample
{
    internal static Job Villa() => JobFile.Read(File.ReadAllText(Path.Combine(JobFileTests.Root(), "demo", "sidr-villa.json"))).Job!;
}
