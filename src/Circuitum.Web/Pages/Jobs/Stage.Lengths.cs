using Circuitum.Core.Measure;

namespace Circuitum.Web.Pages.Jobs;

// Lengths in the units of the job.
public sealed partial class StageModel
{
    /// <summary>An example for a field, in the units of the job.</summary>
    public string Either(string feet, string metres) => Job.Units == LengthUnits.Metric ? metres : feet;

    /// <summary>What a ceiling is where nobody said it, rounded as one would say it.</summary>
    public Length Ceiling =>
        Job.StoreyById(Storey)?.Ceiling ?? (Job.Units == LengthUnits.Metric ? Length.Millimetres(2440) : Length.Feet(8));

    /// <summary>For people.</summary>
    public string Show(Length length) => LengthText.Show(length, Job.Units);

    /// <summary>For a field, read again as just this length.</summary>
    public string Print(Length length) => LengthText.Print(length, Job.Units);

    /// <summary>How far a cable goes.</summary>
    public string Far(Length length, string format = "0") => LengthText.Far(length, Job.Units, format);

    /// <summary>The same without its word.</summary>
    public string FarNumber(Length length) => LengthText.FarNumber(length, Job.Units);
}
