using System.Collections.Immutable;
using System.Globalization;
using Circuitum.Core.Commands;
using Circuitum.Core.Jobs;

namespace Circuitum.Web.Work;

// What is said of runs.
public sealed partial class EditForm
{
    private SetOutsideRun OutsideRun()
    {
        var method = Text("method").Length == 0 ? (OutsideMethod?)null : Word<OutsideMethod>("method", "Method");
        if (Text("keep") == "yes")
            return new(Text("to"), said => said with { Method = method });
        var (depth, driveway, bends) = (OptionalLength("depth", "Depth"), Text("driveway") == "on", Degrees());
        return new(Text("to"), said => said with { Method = method, Depth = depth, Driveway = driveway, Bends = bends });
    }

    // "90 90 / 45": degrees one after the other, a stroke for a pull point.
    private ImmutableArray<int>? Degrees()
    {
        if (Text("bends").Trim() is not { Length: > 0 } text)
            return null;
        var bends = ImmutableArray.CreateBuilder<int>();
        foreach (
            var word in text.Replace("/", " / ", StringComparison.Ordinal)
                .Split([' ', ',', '+'], StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries)
        )
        {
            if (word == "/")
                bends.Add(0);
            else if (int.TryParse(word, NumberStyles.None, CultureInfo.InvariantCulture, out var degrees) && degrees is > 0 and <= 180)
                bends.Add(degrees);
            else
                problem = "Bends: type degrees from 1 to 180 in their order, a stroke for a pull point, such as 90 90 / 45.";
        }

        return bends.ToImmutable();
    }
}
