using AngleSharp.Html.Dom;
using AngleSharp.Html.Parser;
using Microsoft.AspNetCore.Hosting;
using Microsoft.AspNetCore.Mvc.Testing;

namespace Circuitum.Web.Tests;

/// <summary>The application on a data directory of its own.</summary>
public abstract class WebHouse : IDisposable
{
    private readonly string folder = Directory.CreateTempSubdirectory("circuitum-").FullName;
    private readonly WebApplicationFactory<Program> factory;

    protected WebHouse()
    {
        factory = new WebApplicationFactory<Program>().WithWebHostBuilder(b => b.UseSetting("data", folder));
        Web = factory.CreateClient();
    }

    protected HttpClient Web { get; }

    public void Dispose()
    {
        Web.Dispose();
        factory.Dispose();
        Directory.Delete(folder, true);
        GC.SuppressFinalize(this);
    }

    protected static IHtmlDocument Parse(string text) => new HtmlParser().ParseDocument(text);

    /// <summary>The token and the stamp that a page's forms carry.</summary>
    protected async Task<Dictionary<string, string>> Fields(string page)
    {
        var document = Parse(await Web.GetStringAsync(page));
        string Value(string name) => document.QuerySelector($"#edit input[name={name}], form input[name={name}]")?.GetAttribute("value") ?? "";
        return new() { ["__RequestVerificationToken"] = Value("__RequestVerificationToken"), ["stamp"] = Value("stamp") };
    }

    /// <summary>Posts an edit as a page without a script would.</summary>
    protected async Task<HttpResponseMessage> Post(string page, params (string Name, string Value)[] fields)
    {
        var all = await Fields(page);
        foreach (var (n, v) in fields) all[n] = v;
        return await Web.PostAsync(page, new FormUrlEncodedContent(all));
    }
}
