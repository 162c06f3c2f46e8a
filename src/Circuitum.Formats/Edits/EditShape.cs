using System.Collections.Immutable;
using System.Reflection;
using Circuitum.Core.Circuits;
using Circuitum.Core.Commands;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Formats.Edits;

/// <summary>The values of a type, each with its way into a form and out of one.</summary>
internal sealed class EditShape
{
    // Values that are made of others, whose fields stand in the form beside the rest.
    private static readonly HashSet<Type> Nested =
    [
        typeof(BoxChange),
        typeof(HeldFor),
        typeof(Nameplate),
        typeof(OutsideRun),
        typeof(PanelChange),
        typeof(RoomPin),
        typeof(WallFact),
    ];

    private static readonly NullabilityInfoContext Nullability = new();

    private readonly ConstructorInfo make;
    private readonly ImmutableArray<Value> given;
    private readonly ImmutableArray<Value> set;

    internal EditShape(Type type)
    {
        make = type.GetConstructors().MaxBy(c => c.GetParameters().Length)!;
        given = [.. make.GetParameters().Select(p => new Value(type, p))];
        set =
        [
            .. type.GetProperties(BindingFlags.Public | BindingFlags.Instance | BindingFlags.DeclaredOnly)
                .Where(p =>
                    p.CanWrite
                    && given.All(g => g.Name != p.Name)
                    && p.Name != nameof(OutsideRun.Extra)
                    && p.PropertyType != typeof(PlanWatch)
                )
                .Select(p => new Value(type, p)),
        ];
    }

    internal object Read(EditReader reader, IReadOnlyDictionary<string, object?> known)
    {
        var made = make.Invoke([.. given.Select(v => known.TryGetValue(v.Name, out var fix) ? fix : v.Read(reader))]);
        foreach (var value in set)
            value.Property!.SetValue(made, value.Read(reader));
        return made;
    }

    internal IEnumerable<(string Name, string Value)> Write(object made, IReadOnlyList<string>? told = null) =>
        given.Concat(set).Where(v => told?.Contains(v.Name) != true).SelectMany(v => v.Write(made));

    internal object? Get(object made, string name) => given.Concat(set).First(v => v.Name == name).Property!.GetValue(made);

    /// <summary>One of them.</summary>
    private sealed class Value
    {
        private readonly string field;
        private readonly Type type;
        private readonly bool optional;
        private readonly object? usual;
        private readonly FieldRule? rule;
        private readonly EditShape? nested;

        // In a change an empty text is something else than none: it takes away what is there.
        private readonly bool emptyCounts;

        internal Value(Type owner, ParameterInfo p)
            : this(
                owner,
                p.Name!,
                p.ParameterType,
                Nullability.Create(p).WriteState == NullabilityState.Nullable,
                p.HasDefaultValue ? p.DefaultValue : null
            )
        {
            Property = owner.GetProperty(p.Name!);
        }

        internal Value(Type owner, PropertyInfo p)
            : this(owner, p.Name, p.PropertyType, Nullability.Create(p).WriteState == NullabilityState.Nullable, null)
        {
            Property = p;
        }

        private Value(Type owner, string name, Type type, bool optional, object? usual)
        {
            (Name, this.type, this.optional, this.usual) = (name, type, optional, usual);
            field = FieldNames.Of(owner, name);
            rule = FieldRules.All.GetValueOrDefault($"{owner.Name}.{name}")
                ?? (type == typeof(Point) || type == typeof(Point?) ? FieldRules.Place("x", "y") : null);
            nested = Nested.Contains(type) ? new EditShape(type) : null;
            emptyCounts = type == typeof(string) && owner.Name.EndsWith("Change", StringComparison.Ordinal);
        }

        internal string Name { get; }

        internal PropertyInfo? Property { get; }

        internal object? Read(EditReader reader)
        {
            if (rule is not null)
                return rule.Read(reader) ?? (type == typeof(Point) ? default(Point) : null);
            if (nested is not null)
                return nested.Read(reader, ImmutableDictionary<string, object?>.Empty);
            if (type == typeof(ImmutableArray<string>))
                return reader.Many(field).ToImmutableArray();
            if (!reader.Has(field) && (usual is not null || type == typeof(bool)))
                return usual is null ? false
                    : type.IsEnum ? Enum.ToObject(type, usual)
                    : usual;
            if (optional && (emptyCounts ? !reader.Has(field) : reader.Text(field).Length == 0))
                return null;
            return FieldKind.Of(type).Read(reader, field);
        }

        internal IEnumerable<(string, string)> Write(object made)
        {
            var value = Property!.GetValue(made);
            if (rule is not null)
                return rule.Write(value, made);
            if (value is null || Equals(value, usual) || (value is false && usual is null && !optional))
                return [];
            if (nested is not null)
                return nested.Write(value);
            if (value is ImmutableArray<string> many)
                return many.Select(v => (field, v));
            return FieldKind.Of(type).Write(value) is { } text ? [(field, text)] : [];
        }
    }
}
