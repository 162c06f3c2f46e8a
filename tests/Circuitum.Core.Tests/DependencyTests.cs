using System.Text.RegularExpressions;
using System.Xml.Linq;

namespace Circuitum.Core.Tests;

/// <summary>The list of what the program is built on is whole.</summary>
public class DependencyTests
{
    [Fact]
    public void Every_package_stands_in_the_list_with_a_licence_and_no_other_does()
    {
        var root = Path.GetDirectoryName(Path.GetDirectoryName(Sample.DemoPath("tamarack-row.json")))!;
        var list = File.ReadAllText(Path.Combine(root, "docs", "dependencies.md"));
        var packages = XDocument
            .Load(Path.Combine(root, "Directory.Packages.props"))
            .Descendants("PackageVersion")
            .Select(p => p.Attribute("Include")!.Value)
            .Concat(
                Regex
                    .Matches(File.ReadAllText(Path.Combine(root, "package.json")), "^    \"([^\"]+)\": \"[0-9]", RegexOptions.Multiline)
                    .Select(m => m.Groups[1].Value)
            )
            .Order(StringComparer.Ordinal)
            .ToList();
        packages.Count.ShouldBeGreaterThan(30);
        var told = Regex
            .Matches(list, @"^\| ([^ |]+) \| [A-Z0-9][^|?]* \|", RegexOptions.Multiline)
            .Concat(Regex.Matches(list, @"(?:benchmarks: |; )([^ ]+) \([A-Z0-9][^)?]*\)"))
            .Select(m => m.Groups[1].Value)
            .Order(StringComparer.Ordinal);
        told.ShouldBe(packages);
    }
}
