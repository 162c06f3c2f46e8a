using System.Collections.Immutable;
using System.Reflection;
using Circuitum.Core.Commands;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;
using Circuitum.Formats.Edits;

namespace Circuitum.Formats.Tests;

/// <summary>Edits are what forms post: each is written and read by one description.</summary>
public class EditCodecTests
{
    // Made by the program itself, from what no form holds.
    private static readonly Type[] NotOnForms =
    [
        typeof(BringReels),
        typeof(BringRoom),
        typeof(EditAmendments),
        typeof(GiveReels),
        typeof(LayUnder),
        typeof(SetPreferences),
        typeof(TakeDrawing),
    ];

    public static TheoryData<Type> Kinds =>
        [
            .. typeof(JobCommand)
                .Assembly.GetTypes()
                .Where(t => t.IsSubclassOf(typeof(JobCommand)) && !t.IsAbstract && !NotOnForms.Contains(t)),
        ];

    [Fact]
    public void Every_edit_has_a_word_or_is_made_by_the_program_itself() =>
        typeof(JobCommand)
            .Assembly.GetTypes()
            .Where(t => t.IsSubclassOf(typeof(JobCommand)) && !t.IsAbstract && !EditCodec.Knows(t))
            .ShouldBe(NotOnForms, ignoreOrder: true);

    [Theory]
    [MemberData(nameof(Kinds))]
    public void An_edit_that_is_written_is_read_as_the_same_edit(Type kind)
    {
        for (var turn = 0; turn < 20; turn++)
        {
            var edit = (JobCommand)Made(kind, new Random(turn));
            var written = EditCodec.Write(edit);
            var (read, problem) = Read(written);
            read.ShouldNotBeNull($"{written}: {problem}");
            read.GetType().ShouldBe(kind);
            var again = EditCodec.Write(read);
            (again.Word, string.Join('&', again.Fields)).ShouldBe((written.Word, string.Join('&', written.Fields)));
        }
    }

    [Fact]
    public void Values_are_kept_to_the_last_part_of_an_inch()
    {
        foreach (var along in new[] { new Length(123_456_789), Length.Millimetres(1800), Length.Inches(30.5) })
            Read(EditCodec.Write(new MoveBox("b", 2, along, null))).Edit.ShouldBe(new MoveBox("b", 2, along, null));
    }

    [Theory]
    [InlineData("move-box", "box=b&wall=x&along=2'", "Wall: type a whole number.")]
    [InlineData("move-box", "box=b&wall=1&along=two", "Distance: ")]
    [InlineData("lock-circuit", "locked=yes", "Circuit: it is missing.")]
    [InlineData("add-box-here", "kind=3&storey=s&x=1&y=1", "Kind: choose one of the list.")]
    [InlineData("assign-box", "box=b&circuit=seven", "Circuit: type a whole number.")]
    [InlineData("assign-box", "box=b&circuit=", "Circuit: type its number, or new.")]
    [InlineData("edit-job", "name=n&edition=us-2023&front=North&under=Slab&permit=soon", "Permit date: type it as year-month-day")]
    [InlineData("draw-room", "storey=s&corners=1,2;3", "Corners: a drawn corner is two numbers.")]
    [InlineData("move-breaker", "circuit=1&space=x", "Space: type its number")]
    [InlineData("edit-panel", "panel=main&sections=100 mA 6, 30", "Sections: '30' is no section.")]
    [InlineData("edit-panel", "panel=main&loop=much", "Loop: type a number.")]
    [InlineData("outside-run", "to=b&bends=90 200", "Bends: type degrees")]
    [InlineData("fly", "", "That is not something this page can do.")]
    public void What_is_wrong_is_told_with_its_field(string word, string fields, string told) =>
        Read(word, fields).Problem.ShouldStartWith(told);

    [Fact]
    public void An_empty_text_takes_away_and_an_absent_one_leaves()
    {
        var (edit, _) = Read("edit-box", "box=b&size=&rating=");
        edit.ShouldBe(new EditBox("b", new BoxChange { Size = "", Rating = 0 }));
        Read("edit-box", "box=b").Edit.ShouldBe(new EditBox("b", new BoxChange()));
    }

    private static (JobCommand? Edit, string Problem) Read(EditFields e) =>
        EditCodec.Read(e.Word, n => [.. e.Fields.Where(f => f.Name == n).Select(f => f.Value)], e.Fields.Select(f => f.Name));

    private static (JobCommand? Edit, string Problem) Read(string word, string fields) =>
        Read(
            new EditFields(
                word,
                [.. fields.Split('&', StringSplitOptions.RemoveEmptyEntries).Select(f => (f.Split('=')[0], f.Split('=')[1]))]
            )
        );

    // A value of a type, by chance.
    private static object Made(Type type, Random random)
    {
        type = Nullable.GetUnderlyingType(type) ?? type;
        if (type == typeof(string))
            return "abc"[..random.Next(1, 4)];
        if (type == typeof(int))
            return random.Next(1, 40);
        if (type == typeof(double))
            return random.Next(1, 4000) / 8.0;
        if (type == typeof(bool))
            return random.Next(2) == 0;
        if (type == typeof(Length))
            return new Length(random.Next(1, 90_000_000));
        if (type == typeof(Point))
            return new Point(Length.Inches(random.Next(400)), Length.Inches(random.Next(400)));
        if (type == typeof(DateOnly))
            return new DateOnly(2026, 1, random.Next(1, 29));
        if (type.IsEnum)
            return Enum.GetValues(type).GetValue(random.Next(Enum.GetValues(type).Length))!;
        if (type == typeof(ImmutableArray<string>))
            return ImmutableArray.Create("one", "two");
        if (type == typeof(ImmutableArray<int>))
            return ImmutableArray.Create(11, 12, 45);
        if (type == typeof(ImmutableArray<BoardSection>))
            return ImmutableArray.Create(new BoardSection(100, 6, Origin.Person), new BoardSection(30, random.Next(1, 9), Origin.Person));
        if (type == typeof(ImmutableArray<Point>))
            return ImmutableArray.Create(new Point(Length.Feet(1), Length.Feet(2)), new Point(Length.Feet(11), Length.Feet(12)));
        if (type == typeof(ImmutableSortedDictionary<string, string>))
            return ImmutableSortedDictionary<string, string>.Empty;
        if (type == typeof(ImmutableSortedDictionary<int, string>))
            return ImmutableSortedDictionary<int, string>.Empty.Add(7, "Kitchen");
        var make = type.GetConstructors().MaxBy(c => c.GetParameters().Length)!;
        var made = make.Invoke([
            .. make.GetParameters().Select(p => Optional(p.ParameterType, random) ? null : Made(p.ParameterType, random)),
        ]);
        if (make.GetParameters().Length == 0)
        {
            foreach (
                var p in type.GetProperties(BindingFlags.Public | BindingFlags.Instance)
                    .Where(p => p.CanWrite && p.Name != "Extra" && !Optional(p.PropertyType, random))
            )
                p.SetValue(made, Made(p.PropertyType, random));
        }

        return made;
    }

    private static bool Optional(Type type, Random random) => Nullable.GetUnderlyingType(type) is not null && random.Next(2) == 0;
}
