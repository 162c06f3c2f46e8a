using System.Collections.Immutable;
using System.Globalization;
using Circuitum.Core.Analysis;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Takeoff;

/// <summary>Takes down what is counted while the counters go through a house.</summary>
internal sealed class Tally(JobAnalysis a)
{
    private readonly Dictionary<string, MaterialItem> items = new(StringComparer.Ordinal);
    private readonly Dictionary<int, string> heldCircuits = [];
    private readonly ImmutableArray<MaterialPiece>.Builder pieces = ImmutableArray.CreateBuilder<MaterialPiece>();
    private readonly ImmutableArray<LabourPiece>.Builder labour = ImmutableArray.CreateBuilder<LabourPiece>();

    internal JobAnalysis House => a;

    internal ImmutableArray<MaterialPiece> Pieces => pieces.ToImmutable();

    internal ImmutableArray<LabourPiece> Labour => labour.ToImmutable();

    /// <summary>A place to count at: a box with its circuit.</summary>
    internal TallyPlace At(Box box)
    {
        var circuit = a.CircuitOf(box.Id);
        var held = box.Held is { } waits
            ? $"{box.Id} waits for {(waits.WaitsFor.Length > 0 ? waits.WaitsFor : "an answer")}"
            : HeldOf(circuit);
        return new(this, Subject.Box(box.Id), new(box.Room, circuit?.Number, circuit?.Panel, held));
    }

    /// <summary>A place to count at: a cable of a circuit, in the room where it ends.</summary>
    internal TallyPlace At(CircuitAnalysis circuit, Routing.CableSegment segment) =>
        new(
            this,
            new(SubjectKind.Run, segment.To, segment.From),
            new(a.Boxes[segment.To].Room, circuit.Number, circuit.Panel, HeldOf(circuit))
        );

    /// <summary>A place to count at.</summary>
    internal TallyPlace At(Subject from, string? room, int? circuit = null, string? panel = null, string held = "") =>
        new(this, from, new(room, circuit, panel, held));

    /// <summary>Why what serves one circuit should not be bought yet; empty when it can be.</summary>
    internal string HeldOf(CircuitAnalysis? circuit)
    {
        if (circuit is null)
            return "";
        if (!heldCircuits.TryGetValue(circuit.Number, out var why))
        {
            var unread = circuit
                .Boxes.Select(b => a.Job.ApplianceById(b.Appliance))
                .OfType<Appliance>()
                .Select(x => ApplianceFacts.Of(a.Job, x))
                .FirstOrDefault(f => f.IsUnread);
            heldCircuits[circuit.Number] = why = unread is null ? "" : $"the nameplate of {unread.Name} is assumed";
        }

        return why;
    }

    internal void Count(TallyPlace at, string item, long amount, string key, string words, BuyStage? stage)
    {
        if (amount == 0)
            return;
        var whole = key.Length == 0 ? item : $"{item}.{key}";
        if (!items.TryGetValue(whole, out var of))
        {
            var type = CodeLibrary.Takeoff.Item(item).In(a.Units);
            items[whole] = of = new(type, whole, string.Format(CultureInfo.InvariantCulture, type.Text, words.Length > 0 ? words : key));
        }

        pieces.Add(new(of, stage ?? of.Type.Stage, amount, at.From, at.Place));
    }

    internal void Work(TallyPlace at, string task, double times)
    {
        if (times > 0)
            labour.Add(new(CodeLibrary.Takeoff.Task(task).In(a.Units), times, at.Place));
    }

    internal void Work(TallyPlace at, string task, Length along) => Work(at, task, ItemUnits.Of(a.Units).Of(along));
}

/// <summary>A place at which is counted.</summary>
internal readonly record struct TallyPlace(Tally Tally, Subject From, PieceOrigin Place)
{
    /// <summary>Counts pieces.</summary>
    internal void Add(string item, long amount = 1, string key = "", string words = "", BuyStage? stage = null) =>
        Tally.Count(this, item, amount, key, words, stage);

    /// <summary>Counts a length.</summary>
    internal void Along(string item, Length length, string key = "", string words = "", BuyStage? stage = null) =>
        Tally.Count(this, item, length.Units, key, words, stage);

    /// <summary>Counts work.</summary>
    internal void Work(string task, double times = 1) => Tally.Work(this, task, times);

    /// <summary>Counts work that goes by the length.</summary>
    internal void Work(string task, Length along) => Tally.Work(this, task, along);
}
