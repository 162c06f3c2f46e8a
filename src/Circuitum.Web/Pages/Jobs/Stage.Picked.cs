using System.Collections.Immutable;
using Circuitum.Core.Analysis;
using Circuitum.Core.BoxLayout;
using Circuitum.Core.Codes;
using Circuitum.Core.Geometry;
using Circuitum.Core.Jobs;
using Circuitum.Core.Routing;
using Circuitum.Formats;
using Circuitum.Formats.Drawings;
using Circuitum.Web.Work;

namespace Circuitum.Web.Pages.Jobs;

// What is picked, as the thing that it is.
public sealed partial class StageModel
{
    // A ticket is about as wide as this, in pixels; what is wider is scrolled.
    private const double TicketWide = 340;

    /// <summary>An edit in the words of the trade.</summary>
    /// <param name="edit">Its name, word by word.</param>
    public string Named(string? edit) => string.Join(' ', (edit ?? "").Split(' ').Select(Word));

    /// <summary>What the people of the job's trade call a thing.</summary>
    public string Word(string word) => A.Edition.Word(word);

    /// <summary>What a circuit is on its split board: its form, its place, the residual current of its section.</summary>
    public string BoardWords(CircuitAnalysis c)
    {
        var place = A.Panels.Select(p => BoardSheet.Of(A, p)?.PlaceOf(c.Number)).FirstOrDefault(p => p is not null);
        string[] words = [BoardLines.Form(c), place?.Name ?? "no place", $"{c.Board!.Milliamps} mA"];
        return string.Join(", ", words.Where(w => w.Length > 0));
    }

    /// <summary>A wall in studs, for a ticket.</summary>
    public string Strip(RoomShape room, int wall, bool cables = false) =>
        SvgWriter.Text(
            StripComposer.Compose(
                A,
                room,
                wall,
                new()
                {
                    Selected = Pick,
                    Link = b => Link($"box:{b.Id}"),
                    Cables = cables ? WallCables.Of(A, room, wall) : null,
                    Wide = TicketWide,
                }
            )
        );

    /// <summary>What is picked, as a reference; none when nothing is.</summary>
    public Subject? Picked => Subject.TryParse(Pick);

    /// <summary>The picked box, room, circuit or appliance, where it is one.</summary>
    public Box? PickedBox => IdOf(SubjectKind.Box) is { } id ? A.Boxes.GetValueOrDefault(id) : null;

    /// <summary>The picked room.</summary>
    public RoomShape? PickedRoom => IdOf(SubjectKind.Room) is { } id && Job.RoomById(id) is { } room ? A.House[room.Id] : null;

    /// <summary>The picked circuit.</summary>
    public CircuitAnalysis? PickedCircuit => Picked is { Kind: SubjectKind.Circuit, Number: { } n } ? A.CircuitByNumber(n) : null;

    /// <summary>The picked cable, with its circuit.</summary>
    public (CircuitAnalysis Circuit, CableSegment CableSegment)? PickedRun =>
        Picked is { Kind: SubjectKind.Run } run
        && A.CircuitOf(run.Id) is { } c
        && c.Run.Cables.FirstOrDefault(h => h.To == run.Id && h.From == run.Part) is { } segment
            ? (c, segment)
            : null;

    /// <summary>The panel that is looked at: the picked one, that of the picked circuit, else the one at the service.</summary>
    public PanelAnalysis? PickedPanel => A.PanelById(IdOf(SubjectKind.Panel) ?? PickedCircuit?.Panel);

    /// <summary>The picked appliance.</summary>
    public ApplianceFacts? PickedAppliance =>
        IdOf(SubjectKind.Appliance) is { } id && Job.ApplianceById(id) is { } x ? ApplianceFacts.Of(Job, x) : null;

    /// <summary>The picked wall.</summary>
    public (RoomShape Shape, int Wall)? PickedWall =>
        Picked is { Kind: SubjectKind.Wall, Number: { } n } wall && Job.RoomById(wall.Id) is { } room && n < room.Outline.Length
            ? (A.House[room.Id], n)
            : null;

    /// <summary>The picked opening, seen in the room on whose wall it is given.</summary>
    public (RoomShape Shape, Opening Opening)? PickedOpening =>
        IdOf(SubjectKind.Opening) is { } id && Job.Openings.FirstOrDefault(o => o.Id == id) is { } o ? (A.House[o.Room], o) : null;

    /// <summary>The picked counter, fixture or appliance: its room and place.</summary>
    public (string Room, Spot Spot, string Name)? PickedThing =>
        Picked switch
        {
            { Kind: SubjectKind.Counter, Id: var id } when Job.Counters.FirstOrDefault(c => c.Id == id) is { } c => (
                c.Room,
                c.Spot,
                c.Spot.Wall is null ? "island" : "counter"
            ),
            { Kind: SubjectKind.Fixture, Id: var id } when Job.Fixtures.FirstOrDefault(c => c.Id == id) is { } f => (
                f.Room,
                f.Spot,
                Words.Of(f.Kind)
            ),
            { Kind: SubjectKind.Appliance, Id: var id } when Job.ApplianceById(id) is { } x => (
                x.Room,
                x.Spot,
                ApplianceFacts.Of(Job, x).Name
            ),
            _ => null,
        };

    /// <summary>What else stands where the picked thing stands: the range under a microwave, the counter around a sink.</summary>
    public ImmutableArray<(string Pick, string Name)> AlsoHere
    {
        get
        {
            if (PickedThing is not var (room, spot, _))
                return [];
            var shape = A.House[room];
            var here = Places.Box(shape, spot);
            return [.. Things(room).Where(t => t.Pick != Pick && Overlap(here, Places.Box(shape, t.Spot))).Select(t => (t.Pick, t.Name))];
        }
    }

    private IEnumerable<(string Pick, string Name, Spot Spot)> Things(string room) =>
        [
            .. Job.Appliances.Where(x => x.Room == room).Select(x => ($"appliance:{x.Id}", ApplianceFacts.Of(Job, x).Name, x.Spot)),
            .. Job.Fixtures.Where(f => f.Room == room).Select(f => ($"fixture:{f.Id}", Words.Of(f.Kind), f.Spot)),
            .. Job.Counters.Where(c => c.Room == room).Select(c => ($"counter:{c.Id}", c.Spot.Wall is null ? "island" : "counter", c.Spot)),
        ];

    private static bool Overlap((double W, double N, double E, double S) a, (double W, double N, double E, double S) b) =>
        a.W < b.E && b.W < a.E && a.N < b.S && b.N < a.S;

    /// <summary>The picked wish.</summary>
    public Wish? PickedWish => IdOf(SubjectKind.Wish) is { } id ? Job.Wishes.FirstOrDefault(w => w.Id == id) : null;

    private string? IdOf(SubjectKind kind) => Picked is { } picked && picked.Kind == kind ? picked.Id : null;

    private string? StoreyOf(string pick) =>
        Subject.TryParse(pick) switch
        {
            null => null,
            { Kind: SubjectKind.Storey, Id: var id } => Job.StoreyById(id)?.Id,
            { } subject => Job.RoomById(RoomOf(subject))?.Storey,
        };

    private string? RoomOf(Subject subject)
    {
        var id = subject.Id;
        return subject.Kind switch
        {
            SubjectKind.Room or SubjectKind.Wall => id,
            SubjectKind.Box or SubjectKind.Run => A.Boxes.GetValueOrDefault(id)?.Room,
            SubjectKind.Opening => Job.Openings.FirstOrDefault(o => o.Id == id)?.Room,
            SubjectKind.Wish => Job.Wishes.FirstOrDefault(w => w.Id == id)?.Room,
            SubjectKind.Counter => Job.Counters.FirstOrDefault(c => c.Id == id)?.Room,
            SubjectKind.Fixture => Job.Fixtures.FirstOrDefault(f => f.Id == id)?.Room,
            SubjectKind.Appliance => Job.ApplianceById(id)?.Room,
            SubjectKind.Circuit when subject.Number is { } n => A.CircuitByNumber(n)?.Boxes.FirstOrDefault()?.Room,
            _ => null,
        };
    }
}
