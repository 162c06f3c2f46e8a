using System.Text.Json;

namespace Circuitum.Web.Work;

/// <summary>Words for enumerations, as they are said.</summary>
public static class Words
{
    /// <summary>A value in small words.</summary>
    public static string Of(Enum value) => JsonNamingPolicy.KebabCaseLower.ConvertName(value.ToString()).Replace('-', ' ');
}
