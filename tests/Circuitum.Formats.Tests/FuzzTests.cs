using System.Globalization;
using System.Text;
using System.Text.Json.Nodes;
using Circuitum.Core.Entry;
using Circuitum.Core.Jobs;
using Circuitum.Formats.Dxf;
using SkiaSharp;

namespace Circuitum.Formats.Tests;

/// <summary>
/// Files that somebody has turned: whatever they say, the answer is a job that can be worked out, or a sentence. A few hundred in the
/// suite; CIRCUITUM_FUZZ=20000 tries as many of each sort, CIRCUITUM_SEED=N begins elsewhere. Each case is made again by its number.
/// </summary>
public class FuzzTests
{
    private static readonly int Cases = Setting("CIRCUITUM_FUZZ", 300);
    private static readonly int Seed = Setting("CIRCUITUM_SEED", 1);

    private static int Setting(string name, int usual) =>
        int.TryParse(Environment.GetEnvironmentVariable(name), CultureInfo.InvariantCulture, out var n) ? n : usual;

    private static readonly string Planned = JobFile.Write(Planner.PlanAll(JobFileTests.Demo("gull-cottage.json")));

    private static readonly string[] Values =
    [
        "null",
        "0",
        "-1",
        "1e308",
        "-9999999999",
        "99999999999999999999",
        "\"\"",
        "\"0\"",
        "\"<script>\"",
        "\"\\u0000\"",
        "\"999'\"",
        "\"1/0\"",
        "[]",
        "{}",
        "true",
        "{\"x\":\"1'\",\"y\":\"1e9\"}",
    ];

    // Every place of a document: its holder and where in it.
    private static List<(JsonNode Holder, object Key)> Places(JsonNode root)
    {
        var places = new List<(JsonNode, object)>();
        void Walk(JsonNode? node)
        {
            switch (node)
            {
                case JsonObject o:
                    foreach (var name in o.Select(p => p.Key).ToList())
                    {
                        places.Add((o, name));
                        Walk(o[name]);
                    }

                    break;
                case JsonArray a:
                    for (var i = 0; i < a.Count; i++)
                    {
                        places.Add((a, i));
                        Walk(a[i]);
                    }

                    break;
            }
        }

        Walk(root);
        return places;
    }

    private static JsonNode? At((JsonNode Holder, object Key) place) =>
        place.Key is string name ? place.Holder[name] : place.Holder[(int)place.Key];

    private static void Put((JsonNode Holder, object Key) place, JsonNode? value)
    {
        if (place.Key is string name)
            place.Holder[name] = value;
        else
            place.Holder[(int)place.Key] = value;
    }

    // A digit that is another one: what is still a house, only an odd one.
    private static void TurnDigit(JsonNode root, Random random)
    {
        var places = Places(root).Where(p => At(p)?.ToString().Any(char.IsAsciiDigit) == true && At(p) is JsonValue).ToList();
        var place = places[random.Next(places.Count)];
        var text = At(place)!.ToString().ToCharArray();
        var digits = Enumerable.Range(0, text.Length).Where(i => char.IsAsciiDigit(text[i])).ToList();
        text[digits[random.Next(digits.Count)]] = (char)('0' + random.Next(10));
        var turned = new string(text);
        Put(place, At(place)!.AsValue().TryGetValue<string>(out _) ? turned : double.Parse(turned, CultureInfo.InvariantCulture));
    }

    private static void Turn(JsonNode root, Random random)
    {
        var places = Places(root);
        var place = places[random.Next(places.Count)];
        switch (random.Next(6))
        {
            case 0 when place.Holder is JsonObject o:
                o.Remove((string)place.Key);
                break;
            case 1 when place.Holder is JsonArray a:
                a.RemoveAt((int)place.Key);
                break;
            case 2 when place.Holder is JsonArray a:
                a.Add(At(place)?.DeepClone());
                break;
            case 3:
                // What is right somewhere stands somewhere else.
                Put(place, At(places[random.Next(places.Count)])?.DeepClone());
                break;
            case 4 when At(place) is JsonValue v && v.TryGetValue<string>(out var text) && text.Length > 0:
                var letters = text.ToCharArray();
                letters[random.Next(letters.Length)] = (char)random.Next(32, 127);
                Put(place, new string(letters));
                break;
            default:
                Put(place, JsonNode.Parse(Values[random.Next(Values.Length)]));
                break;
        }
    }

    [Fact]
    public void A_job_file_that_was_turned_is_a_house_that_can_be_worked_out_or_a_sentence()
    {
        var read = 0;
        for (var n = 0; n < Cases; n++)
        {
            var random = new Random((Seed * 1_000_003) + n);
            var root = JsonNode.Parse(Planned)!;
            for (var turns = 1 + random.Next(3); turns > 0; turns--)
            {
                if (n % 2 == 0)
                    TurnDigit(root, random);
                else
                    Turn(root, random);
            }

            var text = root.ToJsonString();
            var why = $"job {Seed} {n}";
            var reading = JobFile.Read(text);
            if (reading.Job is not { } job)
            {
                reading.Problems.ShouldNotBeEmpty(why);
                continue;
            }

            read++;
            Should.NotThrow(() => Analyzer.Analyze(job), why);
            JobFile.Read(JobFile.Write(job)).Job.ShouldNotBeNull(why);
            if (n % 40 == 0)
                Should.NotThrow(() => Planner.PlanAll(job), why);
        }

        read.ShouldBeGreaterThan(Cases / 10, "most turns have to be such that somebody might make them");
    }

    [Fact]
    public void A_drawing_that_was_turned_is_read_or_told()
    {
        var lines = DxfWriter.Write(Analyzer.Analyze(JobFileTests.Demo("gull-cottage.json")), "ground").Split('\n');
        for (var n = 0; n < Cases; n++)
        {
            var random = new Random((Seed * 1_000_003) + n);
            var turned = lines.ToList();
            for (var turns = 1 + random.Next(6); turns > 0; turns--)
            {
                var at = random.Next(turned.Count);
                switch (random.Next(5))
                {
                    case 0:
                        turned.RemoveAt(at);
                        break;
                    case 1:
                        turned.Insert(at, turned[random.Next(turned.Count)]);
                        break;
                    case 2:
                        turned[at] = $"{random.Next(-10, 1100)}";
                        break;
                    case 3:
                        turned[at] = Values[random.Next(Values.Length)].Trim('"');
                        break;
                    default:
                        turned = [.. turned.Take(at)];
                        break;
                }

                if (turned.Count == 0)
                    break;
            }

            var why = $"drawing {Seed} {n}";
            var reading = DxfReader.Read(Encoding.Latin1.GetBytes(string.Join('\n', turned)));
            if (reading.Drawing is not { } drawing)
            {
                reading.Problem.ShouldNotBeEmpty(why);
                continue;
            }

            var empty = new Job
            {
                Name = "x",
                Storeys =
                [
                    new()
                    {
                        Id = "first",
                        Name = "First",
                        Floor = default,
                    },
                ],
            };
            var import = DxfPlan.Import(drawing, DxfChoice.Guess(drawing), empty, "first");
            if (import.Job is { } job)
                Should.NotThrow(() => Analyzer.Analyze(job), why);
            else
                import.Problem.ShouldNotBeEmpty(why);
        }
    }

    [Fact]
    public void A_picture_that_was_turned_is_taken_or_told()
    {
        using var bitmap = new SKBitmap(90, 70);
        bitmap.Erase(SKColors.Gray);
        var files = new[] { SKEncodedImageFormat.Png, SKEncodedImageFormat.Jpeg }.Select(f => bitmap.Encode(f, 80).ToArray()).ToArray();
        for (var n = 0; n < Cases; n++)
        {
            var random = new Random((Seed * 1_000_003) + n);
            var bytes = (byte[])files[n % files.Length].Clone();
            for (var turns = 1 + random.Next(8); turns > 0; turns--)
                bytes[random.Next(bytes.Length)] = (byte)random.Next(256);
            if (random.Next(6) == 0)
                bytes = bytes[..random.Next(bytes.Length)];
            var why = $"picture {Seed} {n}";
            var (under, told) = PictureFile.Look(bytes);
            (under is null).ShouldBe(told.Length > 0, why);
            var (photo, problem) = Photo.Make(bytes);
            (photo is null).ShouldBe(problem.Length > 0, why);
        }
    }

    [Fact]
    public void A_typed_list_of_rooms_that_was_turned_is_drawn_or_told_line_by_line()
    {
        string[] lines =
        [
            "Great room 24 x 20, 2 win 5 n, door w",
            "Kitchen 15 x 20 e, open 8 to Gr, win 4 n, furnished",
            "Hall 52-9 x 4 s of Gr, open 5 to Gr",
            "Bed 2 11-3 x 14 s of Hall, door to H, 2 win s, closet 6 x 2 w",
            "Workshop 24 x 16 e of Kitchen 60 e, door w, sub-panel e",
            "storey Attic 9",
            "Attic 52 x 38 over Gr",
        ];
        var empty = new Job
        {
            Name = "x",
            Storeys =
            [
                new()
                {
                    Id = "first",
                    Name = "First",
                    Floor = default,
                },
            ],
        };
        for (var n = 0; n < Cases; n++)
        {
            var random = new Random((Seed * 1_000_003) + n);
            var turned = lines.ToArray();
            for (var turns = 1 + random.Next(5); turns > 0; turns--)
            {
                var at = random.Next(turned.Length);
                var words = turned[at].Split(' ').ToList();
                var word = random.Next(words.Count);
                words[word] = random.Next(4) switch
                {
                    0 => Values[random.Next(Values.Length)].Trim('"'),
                    1 => lines[random.Next(lines.Length)].Split(' ')[0],
                    2 => "",
                    _ => new string([.. words[word].Reverse()]),
                };
                turned[at] = string.Join(' ', words);
            }

            var why = $"rooms {Seed} {n}";
            var (job, problems) = RoomList.Take(empty, "first", turned);
            problems.ShouldAllBe(p => p.Line >= 1 && p.Line <= turned.Length, why);
            Should.NotThrow(() => Analyzer.Analyze(job), why);
        }
    }
}
