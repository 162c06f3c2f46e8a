using System.Collections.Immutable;
using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Core.Routing;

namespace Circuitum.Core.Analysis;

/// <summary>Finds circuits that may share the cable of their home run, and what that saves.</summary>
public static class HomeRunPairing
{
    /// <summary>Why two circuits may not share a home run, or none when they may.</summary>
    /// <param name="a">One circuit.</param>
    /// <param name="b">The other.</param>
    /// <param name="kind">How.</param>
    public static string? WhyNot(CircuitAnalysis a, CircuitAnalysis b, PairKind kind)
    {
        if (a.Number == b.Number)
            return "Choose another circuit to share the home run with.";
        foreach (var c in new[] { a, b })
        {
            if (c.Wire is null || c.Boxes.Length == 0)
                return $"Circuit {c.Number} has no cable yet.";
            if (c.Load.Connection != Connection.OneLine)
                return $"Circuit {c.Number} is a {c.Load.Volts} V circuit and needs its cable for itself.";
        }

        if (a.Wire!.Size != b.Wire!.Size)
            return $"Circuit {a.Number} has {a.Wire.Size.Told} and circuit {b.Number} {b.Wire.Size.Told}: one cable has one size.";
        if (kind == PairKind.SharedNeutral && a.Breaker != b.Breaker)
            return $"Circuit {a.Number} has {a.Breaker} A and circuit {b.Number} {b.Breaker} A: breakers that open together are alike.";
        return null;
    }

    /// <summary>Why the planner leaves two circuits alone although the rules let them share.</summary>
    public static bool Wise(CircuitAnalysis a, CircuitAnalysis b, PairKind kind) =>
        // One-pole protective breakers do not work with a shared neutral; circuits that are one appliance's stay simple.
        WhyNot(a, b, kind) is null
        && a.Circuit.Purpose != CircuitPurpose.Appliance
        && b.Circuit.Purpose != CircuitPurpose.Appliance
        && !a.Circuit.Locked
        && !b.Circuit.Locked
        && (
            kind == PairKind.TwoNeutrals
            || (a.Protection.Devices.All(d => d.Box is not null) && b.Protection.Devices.All(d => d.Box is not null))
        );

    // Nothing inside is fed by way of a box in the open air.
    private static bool BeginsOutside(JobAnalysis analysis, CircuitAnalysis c) =>
        c.Boxes.FirstOrDefault(b => b.Id == c.Run.First) is { } first && (first.Outside || analysis.Job.KindAt(first).OpenAir());

    /// <summary>Pairs that are worth it, largest saving first, each circuit once at most and none that is in a pair already.</summary>
    /// <param name="analysis">The house with its circuits.</param>
    /// <param name="kind">How they would share.</param>
    public static ImmutableArray<PairOffer> Offers(JobAnalysis analysis, PairKind kind)
    {
        var free = analysis.Circuits.Where(c => c.Pair is null && c.Run.First is not null).ToList();
        if (analysis.Panel is null || free.Count < 2)
            return [];
        var runs = new CableRouter(analysis.House);
        var makeUp = analysis.Job.Preferences.BoxMakeUp * 2;
        var least = Length.Max(analysis.Job.Preferences.TwoCircuitSaving, Length.Inches(1));
        var all = new List<PairOffer>();
        foreach (var a in free)
        {
            // Most circuits begin too far from each other to save anything; the way itself is only looked for where it could.
            foreach (
                var b in free.Where(b =>
                    b.Number != a.Number
                    && b.Panel == a.Panel
                    && Saving(b, runs.AtLeast(a.Run.First!, b.Run.First!)) >= least
                    && Wise(a, b, kind)
                    && (!BeginsOutside(analysis, a) || BeginsOutside(analysis, b))
                )
            )
            {
                var saving = Saving(b, runs.Between(a.Run.First!, b.Run.First!));
                if (saving >= least)
                    all.Add(new(a.Number, b.Number, saving));
            }
        }

        Length Saving(CircuitAnalysis b, Length between) => b.Run.Segments[0].Cut - (between + makeUp);

        var taken = new HashSet<int>();
        var offers = ImmutableArray.CreateBuilder<PairOffer>();
        foreach (var offer in all.OrderByDescending(o => o.Saving).ThenBy(o => o.First).ThenBy(o => o.Second))
        {
            if (taken.Contains(offer.First) || taken.Contains(offer.Second))
                continue;
            taken.Add(offer.First);
            taken.Add(offer.Second);
            offers.Add(offer);
        }

        return offers.ToImmutable();
    }
}
