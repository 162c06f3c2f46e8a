namespace Circuitum.Core.BoxLayout;

/// <summary>How a box is protected from the weather (406.9).</summary>
public enum WeatherNeed
{
    /// <summary>Not at all: it stands inside.</summary>
    None,

    /// <summary>Under a roof outdoors: a weather-resistant receptacle with a cover that is tight when closed.</summary>
    Damp,

    /// <summary>In the open: a weather-resistant receptacle with a cover that is tight while in use.</summary>
    Wet,
}
