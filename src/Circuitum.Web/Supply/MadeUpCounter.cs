using System.Collections.Immutable;
using System.Globalization;
using System.Security.Cryptography;
using System.Text;
using System.Text.Json;
using Circuitum.Core.Takeoff;
using Circuitum.Formats.Supply;

namespace Circuitum.Web.Supply;

/// <summary>How the made-up counter behaves.</summary>
public enum CounterMood
{
    /// <summary>It answers at once.</summary>
    Answers,

    /// <summary>It takes longer than anyone waits.</summary>
    Slow,

    /// <summary>It cannot be reached.</summary>
    Down,
}

/// <summary>
/// A stand-in for a supplier's counter, made up and in this program: it has what nobody has said is out of stock, asks the made-up prices a
/// little up or down, and remembers its receipts in a file of its own.
/// </summary>
public sealed class MadeUpCounter(string directory) : ISupplierCounter, IDisposable
{
    // The counter opens at seven.
    private const int Opens = 7;

    private readonly SemaphoreSlim gate = new(1);
    private readonly string file = Path.Combine(directory, "counter.json");

    private sealed record Memory(
        CounterMood Mood,
        ImmutableSortedSet<string> Missing,
        ImmutableSortedDictionary<string, CounterAnswer> Receipts
    );

    /// <inheritdoc/>
    public string Supplier => PriceListCsv.Sample.Supplier;

    /// <summary>How it behaves, what it is out of, and how many orders it has.</summary>
    public async Task<(CounterMood Mood, ImmutableSortedSet<string> Missing, int Orders)> StateAsync(CancellationToken cancel)
    {
        await gate.WaitAsync(cancel);
        try
        {
            var memory = Read();
            return (memory.Mood, memory.Missing, memory.Receipts.Count);
        }
        finally
        {
            gate.Release();
        }
    }

    /// <summary>Tells it how to behave.</summary>
    public async Task BehaveAsync(CounterMood mood, IEnumerable<string> missing, CancellationToken cancel)
    {
        await gate.WaitAsync(cancel);
        try
        {
            Write(Read() with { Mood = mood, Missing = [.. missing.Take(200)] });
        }
        finally
        {
            gate.Release();
        }
    }

    /// <inheritdoc/>
    public async Task<CounterAnswer> AnswerAsync(Order order, CancellationToken cancel)
    {
        await gate.WaitAsync(cancel);
        try
        {
            var memory = Read();
            if (memory.Mood == CounterMood.Down)
                throw new CounterException("The counter cannot be reached.");
            if (!memory.Receipts.TryGetValue(order.Key, out var answer))
            {
                answer = Answer(order, memory);
                Write(memory with { Receipts = memory.Receipts.Add(order.Key, answer) });
            }

            // It has the order, but its answer comes when nobody waits any more.
            return memory.Mood == CounterMood.Slow
                ? throw new CounterException("The counter did not answer in time. It may have the order: asked again, it will know it.")
                : answer;
        }
        finally
        {
            gate.Release();
        }
    }

    /// <inheritdoc/>
    public void Dispose() => gate.Dispose();

    private static CounterAnswer Answer(Order order, Memory memory)
    {
        var receipt = Convert.ToHexString(SHA256.HashData(Encoding.UTF8.GetBytes(order.Key)))[..8];
        var day = DateTime.UtcNow.Date.AddDays(1);
        while (day.DayOfWeek is DayOfWeek.Saturday or DayOfWeek.Sunday)
            day = day.AddDays(1);
        return new(
            string.Create(CultureInfo.InvariantCulture, $"LH-{receipt}"),
            DateTime.SpecifyKind(day.AddHours(Opens), DateTimeKind.Utc),
            [.. order.Lines.Select(l => new CounterLine(l.Item, Today(l), memory.Missing.Contains(l.Item) ? l.Quantity : 0))]
        );
    }

    // Up to three percent more or less than the list, the same for an item each day.
    private static decimal? Today(OrderLine line)
    {
        var of = Encoding.UTF8.GetBytes($"{line.Item} {DateTime.UtcNow.DayOfYear}");
        return line.Cost is { } cost ? Math.Round(cost * (97 + (SHA256.HashData(of)[0] % 7)) / 100, 2) : null;
    }

    private Memory Read()
    {
        try
        {
            if (
                File.Exists(file)
                && JsonSerializer.Deserialize<Memory>(File.ReadAllText(file)) is { Missing: not null, Receipts: not null } memory
            )
                return memory;
        }
        catch (JsonException)
        {
            // What cannot be read is kept aside, and the counter begins with nothing.
            File.Move(file, $"{file}.damaged", overwrite: true);
        }

        return new(CounterMood.Answers, [], ImmutableSortedDictionary<string, CounterAnswer>.Empty);
    }

    private void Write(Memory memory)
    {
        var beside = $"{file}.new";
        File.WriteAllText(beside, JsonSerializer.Serialize(memory));
        File.Move(beside, file, overwrite: true);
    }
}
