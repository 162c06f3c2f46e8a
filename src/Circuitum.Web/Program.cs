using Circuitum.Web.Work;

return await App.RunAsync(args);

/// <summary>Lets the tests host the application.</summary>
public partial class Program;
