using System.Collections.Immutable;
using System.Globalization;
using Circuitum.Core.Analysis;

namespace Circuitum.Core.Field;

/// <summary>One terminal of a panel that is tightened: the figure is its maker's, typed by the person who tightens it.</summary>
/// <param name="Landing">The breaker.</param>
/// <param name="Task">It, as a task; its value is the figure.</param>
public sealed record TorqueLine(BreakerLanding Landing, FieldTask Task);

/// <summary>The terminals of a panel, in the order in which it is made up.</summary>
public static class TorqueSheet
{
    /// <summary>Those of a panel.</summary>
    public static ImmutableArray<TorqueLine> Of(JobAnalysis a, PanelAnalysis at) =>
        [
            .. MakeUp
                .Of(a, at)
                .Breakers.Select(b =>
                {
                    var space = string.Create(CultureInfo.InvariantCulture, $"{b.Row.Space}-{b.Row.Half}");
                    return new TorqueLine(
                        b,
                        new(
                            $"torque/{at.Panel.Id}/{space}",
                            FieldWork.Inspect,
                            at.Panel.Room,
                            Subject.Panel(at.Panel.Id),
                            $"Space {b.Row.Place}",
                            b.Name,
                            [$"{b.Amperes} A, {b.Wire}"]
                        )
                        {
                            Mark = $"{b.Amperes} A, {b.Wire}",
                        }
                    );
                }),
        ];
}
