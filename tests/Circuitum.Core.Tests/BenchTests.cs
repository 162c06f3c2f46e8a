using System.Globalization;
using Circuitum.Core.Bench;
using CsCheck;

namespace Circuitum.Core.Tests;

/// <summary>Quick answers: the worked cases, what is refused, and packing against every possible packing.</summary>
public class BenchTests
{
    private static BenchAnswer Ask(string line)
    {
        var words = line.Split(' ');
        var told = new List<(string, string)>();
        for (var i = 1; i < words.Length; i += 2)
            told.Add((words[i][2..], words[i + 1]));
        return BenchDesk.Ask(BenchDesk.Find(words[0])!, told);
    }

    private static string Say(object? value) =>
        value switch
        {
            null => "none",
            bool yes => yes ? "yes" : "no",
            System.Collections.IEnumerable list when value is not string => string.Join(" ", list.Cast<object>().Select(Say)),
            IFormattable number => number.ToString(null, CultureInfo.InvariantCulture),
            _ => value.ToString()!,
        };

    [Theory]
    [InlineData("wire --amps 31 --method conduit --current-carrying 3", "size", "8")]
    [InlineData("wire --amps 31 --method conduit --current-carrying 3", "breaker", "35")]
    [InlineData("wire --amps 31", "size", "8")]
    [InlineData("wire --amps 31 --method conduit --current-carrying 4", "size", "8")]
    [InlineData("wire --amps 52 --method conduit --current-carrying 4", "size", "6")]
    [InlineData("wire --amps 52 --method conduit --current-carrying 4", "breaker", "60")]
    [InlineData("wire --amps 0 --continuous 48", "size", "4")]
    [InlineData("wire --amps 0 --continuous 48", "breaker", "60")]
    [InlineData("wire --amps 100 --method conduit", "size", "3")]
    [InlineData("wire --amps 100 --method conduit --material al", "size", "1")]
    [InlineData("wire --amps 16 --volts 120 --feet 74", "size", "10")]
    [InlineData("wire --amps 16 --volts 120 --feet 74", "sizeForLoad", "12")]
    [InlineData("wire --amps 16 --volts 120 --feet 74", "breaker", "20")]
    [InlineData("wire --amps 16 --volts 120 --feet 74", "ground", "10")]
    [InlineData("wire --amps 390 --method cable", "size", "none")]
    [InlineData("wire --amps 380 --method conduit", "size", "500")]
    [InlineData("wire --family ca-2021 --amps 31 --method conduit --current-carrying 4", "size", "8")]
    [InlineData("wire --family ca-2021 --amps 52 --method conduit --current-carrying 4", "size", "6")]
    [InlineData("wire --family ca-2021 --amps 0 --continuous 16", "breaker", "20")]
    [InlineData("wire --family ca-2021 --amps 0 --continuous 16.5", "breaker", "25")]
    [InlineData("wire --family split-board --amps 20 --volts 230 --current-carrying 6 --ambient-c 40", "size", "6")]
    [InlineData("wire --family split-board --amps 20 --volts 230 --current-carrying 4 --ambient-c 40", "size", "4")]
    [InlineData("wire --family split-board --amps 20 --volts 230 --current-carrying 4 --ambient-c 40", "ampacity", "22.27")]
    [InlineData("wire --family split-board --amps 32 --volts 230", "breaker", "32")]
    [InlineData("drop --size 12 --amps 16 --feet 74", "volts", "4.57")]
    [InlineData("drop --size 12 --amps 16 --feet 74", "percent", "3.81")]
    [InlineData("drop --size 10 --amps 16 --feet 74", "percent", "2.39")]
    [InlineData("drop --size 12 --amps 16 --feet 74", "passes", "no")]
    [InlineData("grouping --size 12 --cables 5 --breaker 20", "ampacity", "15")]
    [InlineData("grouping --size 12 --cables 4 --breaker 20", "passes", "yes")]
    [InlineData("grouping --size 12 --cables 2 --breaker 20 --sealed no --ambient-c 50", "ampacity", "19.68")]
    [InlineData("grouping --size 12 --cables 2 --breaker 20 --sealed no --ambient-c 50", "passes", "no")]
    [InlineData("grouping --size 12 --cables 2 --breaker 20 --sealed no --ambient-c 50 --receptacles no", "passes", "yes")]
    [InlineData("box --wires 14:4 --grounds 14:2 --devices 14:1 --volume 18", "volume", "14")]
    [InlineData("box --wires 12:2,14:4 --grounds 14:2,12:1 --devices 14:1 --volume 18", "passes", "no")]
    [InlineData("box --wires 12:2,14:4 --grounds 14:2,12:1 --devices 14:1 --volume 20.3", "passes", "yes")]
    [InlineData("box --edition us-2017 --wires 14:15 --grounds 14:7 --devices 14:4 --clamps yes", "volume", "50")]
    [InlineData("box --wires 6:3 --grounds 10:1 --wide-devices 6:1 --clamps no", "volume", "37.5")]
    [InlineData("box --edition ca-2021 --wires 14:4 --connectors 2 --devices 14:1", "volume", "10.5")]
    [InlineData("conduit --wires 2:4", "size", "1-1/4")]
    [InlineData("conduit --wires 2:4 --size 1", "fillPasses", "no")]
    [InlineData("conduit --wires 2:4 --bends 90,90,90,45", "bendDegrees", "315")]
    [InlineData("conduit --wires 2:4 --bends 90,90,90,45,90", "bendsPass", "no")]
    [InlineData("circuit --fixed 9.5 --fixed 7.0", "load", "16.5")]
    [InlineData("circuit --fixed 9.5c --fixed 7.0", "sizing", "18.875")]
    [InlineData("circuit --fixed 9.5c --fixed 7.0", "passes", "yes")]
    [InlineData("circuit --fixed 9.5c --fixed 7.0 --lights 60", "breaches", "circuit.half")]
    [InlineData("circuit --fixed 6.0 --fixed 3.9 --lights 60", "passes", "yes")]
    [InlineData("circuit --fixed 6.0 --fixed 4.1 --lights 60", "passes", "no")]
    [InlineData(
        "service --method optional --area-sqft 2100 --load "
            + "range:12000,dryer:5000,water-heater:4500,dishwasher:1200,disposer:800,cooling:4800",
        "va",
        "24520"
    )]
    [InlineData(
        "service --method standard --area-sqft 2100 --load "
            + "range:12000,dryer:5000,water-heater:4500,dishwasher:1200,disposer:800,cooling:4800",
        "amps",
        "130.1"
    )]
    [InlineData(
        "service --method standard --area-sqft 2100 --load "
            + "range:12000,dryer:5000,water-heater:4500,dishwasher:1200,disposer:800,cooling:4800",
        "copper",
        "1"
    )]
    [InlineData("service --edition ca-2021 --area-m2 150 --load range:12000,water-heater:4500,dryer:5000,cooling:3500", "va", "24000")]
    [InlineData("service --edition ca-2021 --area-m2 150 --load range:12000,water-heater:4500,dryer:5000,cooling:3500", "service", "100")]
    [InlineData("service --edition ca-2021 --area-m2 60 --load heating:8000,dryer:5000,water-heater:4500", "va", "19875")]
    [InlineData("service --edition ca-2021 --area-m2 60 --load heating:8000,dryer:5000,water-heater:4500", "amps", "82.8")]
    [InlineData("walls --spaces 13,25", "receptacles", "2 3")]
    [InlineData("walls --spaces 24in,23in", "receptacles", "1 0")]
    [InlineData("walls --spaces 12,12'1,24,24'1", "receptacles", "1 2 2 3")]
    [InlineData("walls --family ca-2021 --spaces 3.6m,3.61m,890mm", "receptacles", "1 2 0")]
    [InlineData("walls --spaces 13 --reach 4ft", "receptacles", "2")]
    [InlineData("reels --cuts 96,84,71,66,60,58,45,40,32,28", "coils", "3")]
    public void Worked_cases(string line, string name, string result) => Say(Ask(line)[name]).ShouldBe(result, line);

    [Theory]
    [InlineData("wire --amps x", "amps: 'x' is not a number.")]
    [InlineData("wire --volts 240", "amps: say it")]
    [InlineData("wire --amps 1e9", "amps: a number from 0 to 400")]
    [InlineData("wire --amps NaN", "amps: 'NaN'")]
    [InlineData("wire --amps 20 --family mars", "family: choose one of")]
    [InlineData("wire --amps 20 --nonsense 1", "nonsense: wire does not ask for it")]
    [InlineData("wire --amps 20 --amps 30", "amps: say it once")]
    [InlineData("wire --amps 20 --breaker 21", "breaker: choose one of")]
    [InlineData("wire --amps 20 --material al", "material: sheathed cable")]
    [InlineData("drop --size 13 --amps 5 --feet 5", "size: choose one of")]
    [InlineData("box --wires 14", "wires: '14' is not of the form 14:6,12:2.")]
    [InlineData("box --wires 4:2", "wires: 4 has no allowance")]
    [InlineData("box --wires 14:1.5", "wires: wires are counted")]
    [InlineData("conduit --wires 9:1", "wires: there is no wire of 9")]
    [InlineData("conduit --wires 12:0", "wires: say which")]
    [InlineData("service --area-sqft 900 --load rocket:5", "load: 'rocket' is not a load")]
    [InlineData("service --method optional", "area-sqft: say the floor area")]
    [InlineData("service --edition ca-2021 --area-m2 50 --basement-m2 60", "basement-m2: no more")]
    [InlineData("circuit --fixed 9.5q", "fixed: '9.5q' is not amperes")]
    [InlineData("circuit --breaker 20", "fixed: say at least one load")]
    [InlineData("reels --cuts 300", "cuts: 300 ft is longer")]
    [InlineData("walls --spaces long", "spaces: 'long' is not a length")]
    public void What_is_wrong_is_told_by_its_field(string line, string sentence) =>
        Should.Throw<BenchException>(() => Ask(line)).Message.ShouldStartWith(sentence);

    [Fact]
    public void Every_answer_tells_how_it_came_about()
    {
        foreach (
            var line in new[]
            {
                "wire --amps 20",
                "wire --family ca-2021 --amps 20",
                "wire --family split-board --amps 20",
                "drop --size 12 --amps 5 --feet 50",
                "grouping --size 12 --cables 3 --breaker 20",
                "box --wires 14:4 --grounds 14:2",
                "conduit --wires 12:3",
                "circuit --lights 600",
                "range --kw 12 --kw 9",
                "service --area-sqft 1500",
                "walls --spaces 20",
            }
        )
        {
            var why = Ask(line).Derivation;
            (why.Citation.Length > 0 || why.Steps.Any(s => s.Citation.Length > 0)).ShouldBeTrue(line);
            (why.Formula.Length > 0 || why.Steps.Length > 0).ShouldBeTrue(line);
        }
    }

    [Fact]
    public void Few_cuts_are_packed_into_as_few_coils_as_any_packing() =>
        Gen.Int[5, 100]
            .Array[1, 8]
            .Sample(
                cuts =>
                {
                    var packed = ReelBench.Pack([.. cuts.Select(c => (double)c)], 100);
                    packed.ShouldAllBe(p => p.Sum() <= 100);
                    packed.SelectMany(p => p).Order().ShouldBe(cuts.Select(c => (double)c).Order());
                    packed.Length.ShouldBe(Fewest([.. cuts], [], 0));
                },
                iter: 300
            );

    // Every way of putting one cut after the other into a coil that is open or a new one.
    private static int Fewest(List<int> cuts, List<int> left, int at)
    {
        if (at == cuts.Count)
            return left.Count;
        var best = int.MaxValue;
        for (var b = 0; b <= left.Count; b++)
        {
            if (b < left.Count && left[b] < cuts[at])
                continue;
            List<int> next = b < left.Count ? [.. left] : [.. left, 100];
            next[b] -= cuts[at];
            best = Math.Min(best, Fewest(cuts, next, at + 1));
        }

        return best;
    }

    // Whatever is typed, the answer is a number or a sentence that names the field.
    [Fact]
    public void Nothing_that_is_typed_breaks_a_question()
    {
        string[] odd =
        [
            ",",
            " , ",
            ":",
            ",:,",
            "0",
            "-1",
            "1e308",
            "1e-308",
            "NaN",
            "Infinity",
            "0x10",
            "12,",
            ",12",
            "a:b",
            "1:2:3",
            ":5",
            "5:",
            "\u0000",
            "999999999999999999999",
            "1.5.5",
            "yes",
            "14:0",
            "range:",
            "\u0661",
            new('9', 400),
            new('x', 401),
        ];
        foreach (var question in BenchDesk.Questions)
        {
            List<(string, string)> usual = [.. question.Fields.Where(f => f.Needed).Select(f => (f.Name, f.Example))];
            foreach (var field in question.Fields)
            {
                foreach (var text in odd)
                {
                    try
                    {
                        BenchDesk.Ask(question, [.. usual.Where(u => u.Item1 != field.Name), (field.Name, text)]);
                    }
                    catch (BenchException e)
                    {
                        e.Message.ShouldNotBeEmpty();
                    }
                    catch (Exception e)
                    {
                        throw new InvalidOperationException($"{question.Name} --{field.Name} '{text}': {e.Message}", e);
                    }
                }
            }
        }
    }
}
