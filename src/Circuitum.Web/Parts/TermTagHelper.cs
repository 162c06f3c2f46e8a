using Circuitum.Web.Work;
using Microsoft.AspNetCore.Razor.TagHelpers;

namespace Circuitum.Web.Parts;

/// <summary>A word that tells what it means when it is touched: <c>&lt;term name="home run"&gt;Home run&lt;/term&gt;</c>.</summary>
[HtmlTargetElement("term")]
public sealed class TermTagHelper : TagHelper
{
    /// <summary>The word, one of <see cref="Terms.All"/>.</summary>
    public string Name { get; set; } = "";

    /// <inheritdoc/>
    public override void Process(TagHelperContext context, TagHelperOutput output)
    {
        output.TagName = "button";
        output.TagMode = TagMode.StartTagAndEndTag;
        output.Attributes.SetAttribute("type", "button");
        output.Attributes.SetAttribute("class", "term");
        output.Attributes.SetAttribute("data-term", Terms.All[Name]);
    }
}
