using Circuitum.Core.Commands;
using Circuitum.Core.Jobs;

namespace Circuitum.Web.Work;

/// <summary>The edits of boxes.</summary>
public sealed partial class EditForm
{
    // The whole form of a box's ticket: an empty choice goes back to what is derived.
    private EditBox EditBox() =>
        new(
            Text("box"),
            new BoxChange
            {
                Kind = Has("kind") ? Word<BoxKind>("kind", "Kind") : null,
                Style = Has("style") ? Word<ReceptacleStyle>("style", "Receptacle") : null,
                Fixture = Has("fixture") ? Word<LightStyle>("fixture", "Light") : null,
                Height = Has("height") ? Length("height", "Height") : null,
                Size = form.ContainsKey("size") ? Text("size") : null,
                Rating = form.ContainsKey("rating") ? Number("rating", "Rating") ?? 0 : null,
                Side = form.ContainsKey("side") ? Text("side") : null,
                VoltAmperes = form.ContainsKey("va") ? Decimal("va", "Load") ?? -1 : null,
                CarbonMonoxide = form.ContainsKey("co") ? Text("co") == "on" : null,
                State = Has("state") ? Word<BoxState>("state", "State") : null,
            }
        );

    // One field of a box, as the fix of a finding sets it.
    private EditBox? SetBox(string field, string value)
    {
        BoxChange? change = field switch
        {
            "size" => new() { Size = value },
            "rating" => new() { Rating = int.TryParse(value, out var amperes) ? amperes : 0 },
            "height" => new() { Height = Parse(value, "Height") },
            "kind" => Enum.TryParse<BoxKind>(value, true, out var kind) ? new() { Kind = kind } : null,
            "style" => Enum.TryParse<ReceptacleStyle>(value, true, out var style) ? new() { Style = style } : null,
            "fixture" => Enum.TryParse<LightStyle>(value, true, out var fixture) ? new() { Fixture = fixture } : null,
            "co" => new() { CarbonMonoxide = value == "on" },
            "state" => Enum.TryParse<BoxState>(value, true, out var state) ? new() { State = state } : null,
            _ => null,
        };
        return change is null ? null : new EditBox(Text("box"), change);
    }

    private EditJob RoomReach()
    {
        var (room, reach) = (Text("room"), OptionalLength("reach", "Receptacle reach"));
        return new(
            job => job with { Rooms = [.. job.Rooms.Select(r => r.Id == room ? r with { ReceptacleReach = reach } : r)] },
            "set receptacle reach"
        );
    }

    private bool Has(string name) => Text(name).Length > 0;
}
