using Circuitum.Core.Codes;
using Circuitum.Core.Jobs;
using Circuitum.Core.Measure;

namespace Circuitum.Web.Work;

/// <summary>Preferences in a form.</summary>
/// <param name="Now">As they are.</param>
/// <param name="Company">The company's, to hold them against, or none.</param>
/// <param name="Edition">Whose numbers and sections the explanations tell.</param>
/// <param name="Units">In what lengths are shown and typed.</param>
/// <param name="Ask">Where to ask what a single one would change; none where no house is planned.</param>
public sealed record PreferenceForm(Preferences Now, Preferences? Company, CodeEdition Edition, LengthUnits Units, string? Ask = null);
