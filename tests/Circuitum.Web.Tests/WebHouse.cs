using System.Collections.Concurrent;
using AngleSharp.Html.Dom;
using AngleSharp.Html.Parser;
using Microsoft.AspNetCore.Mvc.Testing;

namespace Circuitum.Web.Tests;

/// <summary>The application on a data directory of its own.</summary>
public abstract class WebHouse : IDisposable
{
    private static readonly ConcurrentDictionary<Type, Host> Shared = new();

    private readonly Host host;
    private readonly bool shared;

    /// <summary>
    /// Starts the application, or goes on with the one that the tests of a class share because each leaves the job as it was.
    /// </summary>
    protected WebHouse(bool shared = false)
    {
        this.shared = shared;
        host = shared ? Shared.GetOrAdd(GetType(), _ => new Host()) : new Host();
        IsNew = Interlocked.Exchange(ref host.Used, 1) == 0;
    }

    protected HttpClient Web => host.Web;

    /// <summary>Whether no test has used the program before.</summary>
    protected bool IsNew { get; }

    public void Dispose()
    {
        if (!shared)
            host.Dispose();
        GC.SuppressFinalize(this);
    }

    private sealed class Host : IDisposable
    {
        // To make a data directory takes as long as many a test: what the first start made is copied for the others.
        private static readonly Lazy<string> Made = new(() =>
        {
            var first = new Host(Directory.CreateTempSubdirectory("circuitum-").FullName);
            first.Stop();
            // Its lock is the last that a program lets go of: from then on nothing changes in the directory.
            SpinWait.SpinUntil(() => IsFree(Path.Combine(first.folder, "circuitum.lock")), TimeSpan.FromSeconds(30)).ShouldBeTrue();
            AppDomain.CurrentDomain.ProcessExit += (_, _) => Directory.Delete(first.folder, true);
            return first.folder;
        });

        internal int Used;

        private readonly string folder;
        private readonly WebApplicationFactory<Program> factory;

        internal Host()
            : this(CopyOf(Made.Value)) => AppDomain.CurrentDomain.ProcessExit += (_, _) => Dispose();

        private Host(string folder)
        {
            this.folder = folder;
            factory = new WebApplicationFactory<Program>().WithWebHostBuilder(b => b.UseSetting("data", folder));
            Web = factory.CreateClient();
        }

        private static bool IsFree(string file)
        {
            try
            {
                using var _ = File.Open(file, FileMode.Open, FileAccess.ReadWrite, FileShare.None);
                return true;
            }
            catch (IOException)
            {
                return false;
            }
        }

        private static string CopyOf(string folder)
        {
            var copy = Directory.CreateTempSubdirectory("circuitum-").FullName;
            foreach (var file in Directory.GetFiles(folder, "*", SearchOption.AllDirectories))
            {
                var to = Path.Combine(copy, Path.GetRelativePath(folder, file));
                Directory.CreateDirectory(Path.GetDirectoryName(to)!);
                File.Copy(file, to);
            }

            return copy;
        }

        internal HttpClient Web { get; }

        public void Dispose()
        {
            if (!Directory.Exists(folder))
                return;
            Stop();
            Directory.Delete(folder, true);
        }

        private void Stop()
        {
            Web.Dispose();
            factory.Dispose();
        }
    }

    protected static IHtmlDocument Parse(string text) => new HtmlParser().ParseDocument(text);

    /// <summary>The token and the stamp that a page's forms carry.</summary>
    protected async Task<Dictionary<string, string>> Fields(string page)
    {
        var document = Parse(await Web.GetStringAsync(page));
        string Value(string name) =>
            document.QuerySelector($"#edit input[name={name}], form input[name={name}]")?.GetAttribute("value") ?? "";
        return new() { ["__RequestVerificationToken"] = Value("__RequestVerificationToken"), ["stamp"] = Value("stamp") };
    }

    /// <summary>Posts an edit as a page without a script would.</summary>
    protected async Task<HttpResponseMessage> Post(string page, params (string Name, string Value)[] fields)
    {
        var all = await Fields(page);
        foreach (var (n, v) in fields)
            all[n] = v;
        return await Web.PostAsync(page, new FormUrlEncodedContent(all));
    }

    /// <summary>What a page says about an edit that was not made.</summary>
    protected static string Alert(IHtmlDocument page) => page.QuerySelector("[role=alert]")?.TextContent ?? "";

    /// <summary>Fields written as in an address.</summary>
    protected static (string Name, string Value)[] Split(string fields) =>
        [
            .. fields
                .Split('&')
                .Select(f => (f[..f.IndexOf('=', StringComparison.Ordinal)], f[(f.IndexOf('=', StringComparison.Ordinal) + 1)..])),
        ];

    /// <summary>Makes an edit on a page and shows the page that answers.</summary>
    protected async Task<IHtmlDocument> Edit(string page, string act, params (string Name, string Value)[] fields) =>
        Parse(await (await Post(page, [("do", act), .. fields])).Content.ReadAsStringAsync());

    /// <summary>An edit changes the stored job and shows a sign; undo gives the very same job again.</summary>
    protected async Task IsMadeStoredAndUndone(string page, string file, string act, string fields, string sign)
    {
        var before = await Web.GetStringAsync(file);
        var shown = await Edit(page, act, Split(fields));
        Alert(shown).ShouldBe("");
        $"{shown.Body!.TextContent} {shown.QuerySelector("[data-do=undo]")?.GetAttribute("title")}".ShouldContain(sign);
        (await Web.GetStringAsync(file)).ShouldNotBe(before);
        Alert(await Edit(page, "undo")).ShouldBe("");
        (await Web.GetStringAsync(file)).ShouldBe(before);
    }

    /// <summary>An edit is refused with a sentence and the stored job is the same.</summary>
    protected async Task IsToldAndChangesNothing(string page, string file, string act, string fields, string sentence)
    {
        var before = await Web.GetStringAsync(file);
        var shown = await Edit(page, act, Split(fields));
        Alert(shown).ShouldContain(sentence);
        shown.Body!.TextContent.ShouldNotContain("   at Circuitum");
        (await Web.GetStringAsync(file)).ShouldBe(before);
    }

    /// <summary>The folder of the repository.</summary>
    internal static string Root()
    {
        var at = new DirectoryInfo(AppContext.BaseDirectory);
        while (at is not null && !Directory.Exists(Path.Combine(at.FullName, "demo", "starters")))
            at = at.Parent;
        while (at is not null && !Directory.Exists(Path.Combine(at.FullName, "docs")))
            at = at.Parent;
        return at!.FullName;
    }
}
