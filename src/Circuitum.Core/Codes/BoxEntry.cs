using System.Text.RegularExpressions;
using Circuitum.Core.Measure;

namespace Circuitum.Core.Codes;

/// <summary>A generic box.</summary>
/// <param name="Id">Key in a job.</param>
/// <param name="Name">What to ask for at the counter.</param>
/// <param name="Use"><c>device</c>, <c>fixture</c> or <c>fan</c>.</param>
/// <param name="Gangs">Gangs of a device box; 0 for one that carries a fixture.</param>
/// <param name="Volume">Usable volume in cubic inches: the tabulated one of a metal box, a typical marked one else (314.16(A)).</param>
/// <param name="Clamps">Whether clamps inside it take up room (314.16(B)(2)).</param>
/// <param name="Metal">Metal, and then bonded.</param>
/// <param name="Bracket">Made to be screwed or snapped to a steel stud; what is nailed on does not hold there.</param>
public sealed partial record BoxEntry(
    string Id,
    string Name,
    string Use,
    int Gangs,
    double Volume,
    bool Clamps,
    bool Metal = false,
    bool Bracket = false
)
{
    /// <summary>The same, its name with the volume in the units of a job: boxes of a metric house are marked in millilitres.</summary>
    /// <param name="units">Those of the job.</param>
    public BoxEntry In(LengthUnits units) =>
        units == LengthUnits.Metric
            ? this with
            {
                Name = VolumeInName().Replace(Name, m => VolumeText.Show(double.Parse(m.Groups[1].Value), units)),
            }
            : this;

    [GeneratedRegex(@"(\d+(?:\.\d+)?) in3")]
    private static partial Regex VolumeInName();
}
