namespace Circuitum.Web.Pages.Jobs;

/// <summary>A button that makes one edit.</summary>
/// <param name="Page">The stage.</param>
/// <param name="Do">The edit.</param>
/// <param name="Text">What it says.</param>
/// <param name="Off">Whether it cannot be pressed now.</param>
/// <param name="Css">Its class.</param>
/// <param name="Fields">Further fields.</param>
public sealed record DoButton(
    StageModel Page,
    string Do,
    string Text,
    bool Off = false,
    string Css = "",
    params (string Name, string Value)[] Fields
);
