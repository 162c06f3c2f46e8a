using System.Diagnostics;
using System.Globalization;
using System.Net;
using System.Text.RegularExpressions;

namespace Circuitum.Benchmarks;

/// <summary>
/// People who edit at a program that runs on this machine, for so long, and what they wait: each opens a page of a job, looks, moves a box
/// as a page with its script does, looks, opens the next. Ends by itself; goes to no other machine.
/// </summary>
internal static partial class LoadRun
{
    private const int MostPeople = 100;
    private const double MostMinutes = 120;

    private static readonly string[] Pages = ["rooms", "boxes", "circuits", "runs", "panel", "material"];

    [GeneratedRegex("__RequestVerificationToken\" type=\"hidden\" value=\"([^\"]+)\"")]
    private static partial Regex Token();

    [GeneratedRegex("data-stamp=\"([0-9]+)\"")]
    private static partial Regex Stamp();

    // What one request took, and whether it was answered as it should.
    private readonly record struct Took(bool Edit, double Milliseconds, bool Good);

    internal static async Task<int> RunAsync(string address, int people, int jobs, double minutes, int process)
    {
        var at = new Uri(address);
        if (!at.IsLoopback || people is < 1 or > MostPeople || jobs is < 1 or > MostPeople || minutes is <= 0 or > MostMinutes)
        {
            Console.Error.WriteLine($"A program on this machine, 1 to {MostPeople} people and jobs, at most {MostMinutes} minutes.");
            return 2;
        }

        using var first = Client(at);
        var ids = new List<string>();
        for (var n = 0; n < jobs; n++)
            ids.Add(await Copied(first));
        var began = Memory(process);
        var until = Stopwatch.StartNew();
        var all = await Task.WhenAll(
            Enumerable
                .Range(0, people)
                .Select(n => Task.Run(() => Person(at, ids[n % jobs], n, () => until.Elapsed.TotalMinutes >= minutes)))
        );
        var took = all.SelectMany(t => t).ToList();
        Print("pages", [.. took.Where(t => !t.Edit)], until.Elapsed);
        Print("edits", [.. took.Where(t => t.Edit)], until.Elapsed);
        Console.WriteLine(string.Create(CultureInfo.InvariantCulture, $"memory {began:0} MB before, {Memory(process):0} MB after"));
        return took.All(t => t.Good) ? 0 : 1;
    }

    private static void Print(string what, List<Took> took, TimeSpan over)
    {
        var times = took.Select(t => t.Milliseconds).Order().ToList();
        if (times.Count == 0)
            return;
        Console.WriteLine(
            string.Create(
                CultureInfo.InvariantCulture,
                $"{what}: {times.Count}, {times.Count / over.TotalSeconds:0.0} a second, median {times[times.Count / 2]:0} ms, "
                    + $"95th {times[(int)(times.Count * 0.95)]:0} ms, longest {times[^1]:0} ms, errors {took.Count(t => !t.Good)}"
            )
        );
    }

    private static HttpClient Client(Uri at) => new(new HttpClientHandler { CookieContainer = new CookieContainer() }) { BaseAddress = at };

    private static async Task<string> Copied(HttpClient web)
    {
        var page = await web.GetStringAsync("/");
        var before = Cards().Matches(page).Select(m => m.Groups[1].Value).ToHashSet();
        var answer = await web.PostAsync(
            "/?handler=Copy",
            new FormUrlEncodedContent([
                new("__RequestVerificationToken", Token().Match(page).Groups[1].Value),
                new("job", "tamarack-row--planned"),
                new("key", Guid.NewGuid().ToString("N")),
            ])
        );
        return Cards().Matches(await answer.Content.ReadAsStringAsync()).Select(m => m.Groups[1].Value).First(c => !before.Contains(c));
    }

    [GeneratedRegex("data-card=\"([^\"]+)\"")]
    private static partial Regex Cards();

    private static async Task<List<Took>> Person(Uri at, string job, int seed, Func<bool> ended)
    {
        using var web = Client(at);
        var (random, took) = (new Random(seed), new List<Took>());
        while (!ended())
        {
            var page = $"/jobs/{job}/{Pages[random.Next(Pages.Length)]}";
            var (html, opened) = await Timed(false, () => web.GetAsync(page), _ => true);
            took.Add(opened);
            if (!opened.Good)
                continue;
            await Task.Delay(Look(random));
            var fields = new FormUrlEncodedContent([
                new("__RequestVerificationToken", Token().Match(html).Groups[1].Value),
                new("stamp", Stamp().Match(html).Groups[1].Value),
                new("do", "move-box"),
                new("box", "living.r1"),
                new("along", $"{2 + random.Next(5)}'{random.Next(12)}"),
            ]);
            var (_, made) = await Timed(true, () => web.SendAsync(Asked(page, fields)), text => !text.Contains("role=\"alert\""));
            took.Add(made);
            await Task.Delay(Look(random));
        }

        return took;
    }

    private static TimeSpan Look(Random random) => TimeSpan.FromSeconds(1 + (2 * random.NextDouble()));

    private static HttpRequestMessage Asked(string page, HttpContent fields)
    {
        var request = new HttpRequestMessage(HttpMethod.Post, page) { Content = fields };
        request.Headers.Add("HX-Request", "true");
        return request;
    }

    private static async Task<(string Text, Took Took)> Timed(bool edit, Func<Task<HttpResponseMessage>> ask, Func<string, bool> good)
    {
        var watch = Stopwatch.StartNew();
        try
        {
            using var answer = await ask();
            var text = await answer.Content.ReadAsStringAsync();
            return (text, new(edit, watch.Elapsed.TotalMilliseconds, answer.IsSuccessStatusCode && good(text)));
        }
        catch (HttpRequestException)
        {
            return ("", new(edit, watch.Elapsed.TotalMilliseconds, false));
        }
    }

    private static double Memory(int process)
    {
        if (process == 0)
            return 0;
        using var running = Process.GetProcessById(process);
        return running.WorkingSet64 / 1e6;
    }
}
