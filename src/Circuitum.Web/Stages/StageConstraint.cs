namespace Circuitum.Web.Stages;

/// <summary>In an address, the word of a stage.</summary>
internal sealed class StageConstraint : IRouteConstraint
{
    /// <inheritdoc/>
    public bool Match(
        HttpContext? httpContext,
        IRouter? route,
        string routeKey,
        RouteValueDictionary values,
        RouteDirection routeDirection
    ) => StageList.Find(values[routeKey] as string) is not null;
}
