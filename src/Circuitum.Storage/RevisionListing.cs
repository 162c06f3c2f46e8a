namespace Circuitum.Storage;

/// <summary>A state of a job in a list.</summary>
/// <param name="Number">Its number.</param>
/// <param name="Parent">The state that it was made from; 0 for the first.</param>
/// <param name="Title">What was done.</param>
/// <param name="About">To what it was done; empty for the whole job.</param>
/// <param name="By">Who did it; empty for the desk.</param>
/// <param name="Made">When, UTC.</param>
/// <param name="Named">What a person calls it, or none.</param>
/// <param name="Issued">The set of papers that was issued of it, or none.</param>
/// <param name="Stepped">When it was last undone, or done again after that, UTC; none where it never was.</param>
/// <param name="SteppedBy">Who did that; empty for the desk.</param>
public sealed record RevisionListing(
    int Number,
    int Parent,
    string Title,
    string About,
    string By,
    DateTime Made,
    string? Named,
    string? Issued,
    DateTime? Stepped = null,
    string SteppedBy = ""
);
