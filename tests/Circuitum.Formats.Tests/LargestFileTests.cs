using System.Diagnostics;
using Circuitum.Core.Intake;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Formats.Tests;

/// <summary>The largest file that is accepted, in a process of its own, whose memory is watched.</summary>
public sealed class LargestFileTests : IDisposable
{
    private const long MostBytes = 300_000_000;

    private readonly string folder = Directory.CreateTempSubdirectory("circuitum-").FullName;

    public void Dispose() => Directory.Delete(folder, true);

    // Rooms in rows over the whole length of a building, all boxes that a job may have, on all circuits it may have.
    private static Job Largest()
    {
        const int Side = 22;
        var cell = JobRules.LongestBuilding.InFeet / Side;
        var rooms = Enumerable.Range(0, Side * Side).Select(i => Square($"r{i}", i % Side * cell, i / Side * cell, cell - 0.4)).ToList();
        var random = new Random(5);
        var boxes = Enumerable
            .Range(0, JobRules.MostBoxes)
            .Select(i => new Box
            {
                Id = $"b{i}",
                Kind = BoxKind.Receptacle,
                Room = rooms[i % rooms.Count].Id,
                Wall = random.Next(4),
                Along = Length.Feet(1 + (random.NextDouble() * (cell - 2.4))),
                Height = Length.Feet(1.2),
            })
            .ToList();
        var circuits = boxes
            .Chunk(JobRules.MostBoxes / JobRules.MostCircuits)
            .Select(
                (c, i) =>
                    new Circuit
                    {
                        Number = i + 1,
                        Purpose = CircuitPurpose.Receptacles,
                        Boxes = [.. c.Select(b => new CircuitBox { Box = b.Id })],
                    }
            );
        return new Job
        {
            Name = "Largest",
            Storeys = [new Storey { Id = "first", Name = "First" }],
            Rooms = [.. rooms],
            Panels =
            [
                new Panel
                {
                    Id = "main",
                    Name = "Main",
                    Room = "r0",
                    Spaces = 42,
                },
            ],
            Decisions = new() { Boxes = [.. boxes], Circuits = [.. circuits] },
        };
    }

    private static Room Square(string id, double x, double y, double side) =>
        new()
        {
            Id = id,
            Name = id,
            Storey = "first",
            Kind = RoomKind.Living,
            Outline =
            [
                new(Length.Feet(x), Length.Feet(y)),
                new(Length.Feet(x + side), Length.Feet(y)),
                new(Length.Feet(x + side), Length.Feet(y + side)),
                new(Length.Feet(x), Length.Feet(y + side)),
            ],
        };

    [Fact]
    public async Task The_largest_lawful_file_stays_under_its_memory()
    {
        if (!OperatingSystem.IsLinux())
            return;
        var job = Largest();
        JobRules.Check(job).ShouldBeEmpty();
        var file = Path.Combine(folder, "largest.json");
        await File.WriteAllTextAsync(file, JobFile.Write(job));
        using var process = Process.Start(
            new ProcessStartInfo("dotnet", [Path.Combine(AppContext.BaseDirectory, "circuitum.dll"), "check", file])
            {
                RedirectStandardOutput = true,
            }
        )!;
        var said = process.StandardOutput.ReadToEndAsync();
        var most = 0L;
        while (!process.HasExited)
        {
            process.Refresh();
            try
            {
                most = Math.Max(most, process.PeakWorkingSet64);
            }
            catch (InvalidOperationException)
            {
                break;
            }

            await Task.Delay(50);
        }

        await process.WaitForExitAsync();
        (await said).ShouldContain(" must, ");
        most.ShouldBeInRange(30_000_000, MostBytes);
    }
}
