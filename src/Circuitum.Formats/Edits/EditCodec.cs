using System.Collections.Immutable;
using Circuitum.Core.Commands;
using Circuitum.Core.Edits;
using Circuitum.Core.Measure;

namespace Circuitum.Formats.Edits;

/// <summary>
/// Edits as forms post them and files tell them: every edit that a form can ask for has its word here, and is read and written by the
/// same description of its values.
/// </summary>
public static class EditCodec
{
    private static readonly ImmutableArray<Entry> Entries =
    [
        Entry.Of<AcceptBox>("accept-box"),
        Entry.Of<AcceptBoxes>("accept-boxes"),
        Entry.Of<AddBox>("add-box"),
        Entry.Of<AddBoxHere>("add-box-here"),
        Entry.Of<AddCloset>("add-closet"),
        Entry.Of<AddRoom>("add-room"),
        Entry.Of<AddStorey>("add-storey"),
        Entry.Of<AddSwitch>("add-switch"),
        Entry.Of<AddWish>("add-wish"),
        Entry.Of<ArrangeOpening>("arrange-opening"),
        Entry.Of<AssignBox>("assign-box"),
        Entry.Of<AssignBoxes>("assign-boxes"),
        Entry.Of<AssignRoom>("assign-room"),
        Entry.Of<AssumeWaste>("assume-waste"),
        Entry.Of<CloseWall>("close-wall"),
        Entry.Of<CopyRoom>("copy-room"),
        Entry.Of<CopyStorey>("copy-storey"),
        Entry.Of<DimUnderlay>("dim-picture"),
        Entry.Of<DrawRoom>("draw-room"),
        Entry.Of<EditBox>("edit-box"),
        Entry.Of<EditCircuit>("edit-circuit"),
        Entry.Of<EditJob>("edit-job"),
        Entry.Of<EditOpening>("edit-opening"),
        Entry.Of<EditPanel>("edit-panel"),
        Entry.Of<EditRoom>("edit-room"),
        Entry.Of<EditRoomBuild>("room-ceiling"),
        Entry.Of<EditRooms>("edit-rooms"),
        Entry.Of<EditStorey>("edit-storey"),
        Entry.Of<EditThing>("edit-thing"),
        Entry.Of<EditWall>("edit-wall"),
        Entry.Of<EditWish>("edit-wish"),
        Entry.Of<ExchangeAppliance>("exchange"),
        Entry.Of<FeedFromLine>("line-side"),
        Entry.Of<ForceFirst>("force-first"),
        Entry.Of<FurnishRoom>("furnish"),
        Entry.Of<HoldBox>("release-box", (nameof(HoldBox.For), null)),
        Entry.Of<HoldBox>("hold-box"),
        Entry.Of<JoinRooms>("join-rooms"),
        Entry.Of<LayOutPanel>("lay-out-panel"),
        Entry.Of<LeadCable>("lead-cable"),
        Entry.Of<LeadOverRoom>("lead-over-room"),
        Entry.Of<LockCircuit>("lock-circuit"),
        Entry.Of<LockRun>("lock-run"),
        Entry.Of<LearnMinutes>("learn-minutes"),
        Entry.Of<SetControl>("set-control"),
        Entry.Of<SetMinutes>("set-minutes"),
        Entry.Of<SetTook>("set-took"),
        Entry.Of<KeepReel>("keep-reel"),
        Entry.Of<KeepShelf>("keep-shelf"),
        Entry.Of<MarkPulled>("pulled"),
        Entry.Of<MergeCircuits>("merge-circuits"),
        Entry.Of<MoveBox>("move-box"),
        Entry.Of<MoveBreaker>("move-breaker"),
        Entry.Of<MoveRoom>("move-room"),
        Entry.Of<MoveThing>("move-thing"),
        Entry.Of<MoveToPanel>("move-to-panel"),
        Entry.Of<MoveUnderlay>("move-picture"),
        Entry.Of<MoveWall>("move-wall"),
        Entry.Of<PairCircuits>("pair-circuits"),
        Entry.Of<PinRooms>("pin-rooms"),
        Entry.Of<PlaceHere>("place"),
        Entry.Of<PlanCircuits>("plan-afresh", (nameof(PlanCircuits.Afresh), true)),
        Entry.Of<PlanCircuits>("plan-circuits", (nameof(PlanCircuits.Afresh), false)),
        Entry.Of<PlanHouse>("plan-house"),
        Entry.Of<ProposeBoxes>("propose-boxes"),
        Entry.Of<PutOnWall>("put"),
        Entry.Of<RemoveBox>("remove-box"),
        Entry.Of<RemoveCircuit>("remove-circuit"),
        Entry.Of<RemoveReel>("remove-reel"),
        Entry.Of<RemoveRoom>("remove-room"),
        Entry.Of<RemoveStorey>("remove-storey"),
        Entry.Of<RemoveSubPanel>("remove-sub-panel"),
        Entry.Of<RemoveThing>("remove-thing"),
        Entry.Of<RemoveUnderlay>("remove-picture"),
        Entry.Of<RenumberCircuits>("renumber"),
        Entry.Of<ScaleUnderlay>("scale-picture"),
        Entry.Of<SetBreaker>("set-breaker"),
        Entry.Of<SetBreakerFamily>("breaker-family"),
        Entry.Of<SetDimension>("dimension"),
        Entry.Of<SetLabels>("labels"),
        Entry.Of<SetNameplate>("nameplate"),
        Entry.Of<SetOutsideMethod>("outside-method"),
        Entry.Of<SetOutsideRun>("outside-run"),
        Entry.Of<SetReceptacleReach>("room-reach"),
        Entry.Of<SetWallLength>("wall-length"),
        Entry.Of<SplitCircuit>("split-circuit"),
        Entry.Of<SplitRoom>("split-room"),
        Entry.Of<TakePart>("take-part"),
        Entry.Of<TakePlan>("take-plan"),
        Entry.Of<TakeWay>("take-way"),
        Entry.Of<TellBuilders>("tell-builders"),
        Entry.Of<TurnHouse>("turn-house"),
        Entry.Of<TypeRooms>("type-rooms"),
        Entry.Of<UnpairCircuits>("unpair-circuits"),
        Entry.Of<UnpinRooms>("unpin-rooms"),
    ];

    private static readonly Dictionary<string, Entry> ByWord = Entries.ToDictionary(e => e.Word);

    /// <summary>Whether a kind of edit has a word.</summary>
    /// <param name="edit">A type of <see cref="JobCommand"/>.</param>
    public static bool Knows(Type edit) => Entries.Any(e => e.Type == edit);

    /// <summary>An edit as a form posts it.</summary>
    /// <exception cref="InvalidOperationException">No form can ask for such an edit.</exception>
    public static EditFields Write(JobCommand edit) => Entries.First(e => e.Matches(edit)).Write(edit);

    /// <summary>Reads an edit.</summary>
    /// <param name="word">Its word.</param>
    /// <param name="values">The values of a field by its name; none when it is not there.</param>
    /// <param name="names">The names of all fields.</param>
    /// <param name="units">What a bare number means where a length is typed.</param>
    /// <returns>The edit, or none with a sentence that names the field.</returns>
    public static (JobCommand? Edit, string Problem) Read(
        string word,
        Func<string, IReadOnlyList<string>> values,
        IEnumerable<string> names,
        LengthUnits units = LengthUnits.FeetInches
    )
    {
        if (!ByWord.TryGetValue(word, out var entry))
            return (null, "That is not something this page can do.");
        var reader = new EditReader(values, names, units);
        var edit = entry.Read(reader);
        return reader.Problem.Length > 0 ? (null, reader.Problem) : (edit, "");
    }

    /// <summary>A word, the edit that it stands for, and values that the word itself tells.</summary>
    private sealed record Entry(string Word, Type Type, EditShape Shape, ImmutableDictionary<string, object?> Fixed)
    {
        internal static Entry Of<T>(string word, params (string Name, object? Value)[] told)
            where T : JobCommand => new(word, typeof(T), new EditShape(typeof(T)), told.ToImmutableDictionary(t => t.Name, t => t.Value));

        internal bool Matches(JobCommand edit) => edit.GetType() == Type && Fixed.All(t => Equals(Shape.Get(edit, t.Key), t.Value));

        internal JobCommand Read(EditReader reader) => (JobCommand)Shape.Read(reader, Fixed);

        internal EditFields Write(JobCommand edit) => new(Word, [.. Shape.Write(edit, [.. Fixed.Keys])]);
    }
}
