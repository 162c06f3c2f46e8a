using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.Simulation;
using Circuitum.Core.Training;
using Circuitum.Web.Access;
using Circuitum.Web.Field;
using Circuitum.Web.Work;
using Microsoft.AspNetCore.Authorization;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Circuitum.Web.Pages.Field;

/// <summary>
/// Practice with the circuits of a job: a question by its number, so it can be told to somebody else; the score stays on the device.
/// </summary>
[Authorize(Roles.Crew)]
public sealed class TrainerModel(JobDesk desk, PracticeHouses houses, FinderDesk finders) : PageModel
{
    private const int Most = 1_000_000;
    private const int LongestFound = 2000;

    /// <summary>What can be practised: word and name.</summary>
    public static IReadOnlyList<(string Word, string Name)> Kinds { get; } =
    [
        ("find", "Find it"),
        ("reach", "Reach"),
        ("lineload", "Line, load"),
        ("dark", "Dark"),
        ("tester", "Tester"),
        ("size", "Size"),
        ("wall", "Wall"),
        ("walk", "Walk"),
    ];

    /// <summary>The job's id; none in a house that belongs to nobody.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Id { get; set; }

    /// <summary>The number of the made-up house, where there is no job.</summary>
    [BindProperty(SupportsGet = true)]
    public int House
    {
        get;
        set => field = Math.Clamp(value, 1, PracticeHouses.Most);
    } = 1;

    /// <summary>What an address of this house begins with.</summary>
    public string At => Id is null ? $"?house={House}&" : "?";

    /// <summary>What is practised.</summary>
    [BindProperty(SupportsGet = true)]
    public string Kind
    {
        get;
        set => field = Kinds.Any(k => k.Word == value) ? value : "find";
    } = "find";

    /// <summary>The number of the question.</summary>
    [BindProperty(SupportsGet = true)]
    public int N
    {
        get;
        set => field = Math.Clamp(value, 1, Most);
    } = 1;

    /// <summary>What was chosen.</summary>
    [BindProperty(SupportsGet = true)]
    public List<int> Answer { get; set; } = [];

    /// <summary>Whether the answer was given.</summary>
    public bool Told { get; private set; }

    /// <summary>What was tested in the game of finding, as it stands in the address.</summary>
    public string FoundText { get; private set; } = "";

    /// <summary>The house.</summary>
    public JobAnalysis A { get; private set; } = null!;

    /// <summary>The question, or none.</summary>
    public Question? Question { get; private set; }

    /// <summary>The game of finding, or none.</summary>
    public FaultGame? Game { get; private set; }

    /// <summary>Points of the answer, of one.</summary>
    public double Score => Question?.Score(Answer) ?? 0;

    /// <summary>How a choice looks once the answer was given.</summary>
    public string LookOf(int choice) =>
        !Told ? ""
        : Question!.Choices[choice].Right ? "right"
        : Answer.Contains(choice) ? "wrong"
        : "";

    /// <summary>What became of a choice among several, once the answer was given; none where it was rightly left alone.</summary>
    public string? WordOf(int choice) =>
        !Told || !Question!.Many ? null
        : Question.Choices[choice].Right ? (Answer.Contains(choice) ? "Found." : "Missed.")
        : Answer.Contains(choice) ? "Not so."
        : null;

    /// <summary>Shows it.</summary>
    public async Task<IActionResult> OnGetAsync(string? told, string? found, int? test, CancellationToken cancel)
    {
        var job = Id is null ? null : await desk.OpenAsync(Id, cancel);
        if (Id is not null && job is null)
            return NotFound();
        (A, Told) = (job?.Analysis ?? await houses.OfAsync(House, cancel), told == "yes");
        if (Kind == "find")
        {
            Game = FaultGame.Of(A, N, c => finders.Of(A, c), found is { Length: <= LongestFound } ? found : "", test);
            FoundText = Game is null ? "" : FaultSearch.Write(Game.Search.Found);
        }
        else if (Enum.TryParse<Exercise>(Kind, ignoreCase: true, out var kind))
            Question = Trainer.Make(A, kind, N);
        return Page();
    }
}

/// <summary>A fault that is hidden in a circuit, to be found in few tests.</summary>
/// <param name="Circuit">The circuit.</param>
/// <param name="Search">What was found so far.</param>
/// <param name="Best">In how many tests the finder finds it.</param>
public sealed record FaultGame(CircuitAnalysis Circuit, FaultSearch Search, int Best)
{
    /// <summary>Whether nothing more can be told apart.</summary>
    public bool IsFound => Search.Next is null;

    /// <summary>Points, of one: all for as few tests as the finder takes.</summary>
    public double Score => Search.Found.Length == 0 ? 0 : Math.Min(1, (double)Best / Search.Found.Length);

    /// <summary>What it is, in words; where several look the same to every test, some of them.</summary>
    public string InWords =>
        string.Join("; or ", Search.Faults.Take(4).Select(f => $"{FaultWords.What(f)}, {FaultWords.Where(Search.Finder.Wiring, f)}"));

    /// <summary>The tests that were not made yet, at the panel first.</summary>
    public IEnumerable<int> Offered => Enumerable.Range(0, Search.Finder.Tests.Length).Where(t => Search.Found.All(f => f.Test != t));

    /// <summary>The game of a number; none where there is no circuit.</summary>
    public static FaultGame? Of(JobAnalysis a, int number, Func<int, FaultFinder> finders, string found, int? test)
    {
        var random = new Random(number);
        ImmutableArray<CircuitAnalysis> circuits =
        [
            .. a.Circuits.Where(c => c is { Wire: not null, Run.First: not null, Boxes.Length: > 1 }),
        ];
        if (circuits.Length == 0)
            return null;
        var circuit = circuits[random.Next(circuits.Length)];
        var finder = finders(circuit.Number);
        var wrong = Enumerable.Range(0, finder.Classes.Length).Where(c => finder.Classes[c].Faults.Length > 0).ToList();
        if (wrong.Count == 0)
            return null;
        var hidden = finder.Classes[wrong[random.Next(wrong.Count)]];
        var said = FaultSearch.Read(finder, found).Where(f => hidden.Outcomes[f.Test] == f.Told).DistinctBy(f => f.Test).ToImmutableArray();
        if (test is { } next && next >= 0 && next < finder.Tests.Length && said.All(f => f.Test != next))
            said = said.Add((next, hidden.Outcomes[next]));
        return new(circuit, new(a, finder, said), BestOf(a, finder, hidden));
    }

    private static int BestOf(JobAnalysis a, FaultFinder finder, FaultClass hidden)
    {
        var search = new FaultSearch(a, finder, []);
        while (search.Next is { } next)
            search = new(a, finder, search.Found.Add((next, hidden.Outcomes[next])));
        return search.Found.Length;
    }
}
