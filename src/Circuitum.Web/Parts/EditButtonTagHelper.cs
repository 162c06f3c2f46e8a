using Circuitum.Core.Edits;
using Circuitum.Formats.Edits;
using Microsoft.AspNetCore.Antiforgery;
using Microsoft.AspNetCore.Mvc.Rendering;
using Microsoft.AspNetCore.Mvc.ViewFeatures;
using Microsoft.AspNetCore.Razor.TagHelpers;

namespace Circuitum.Web.Parts;

/// <summary>
/// A button of a stage that makes one edit, a form of its own: <c>edit</c> is the edit, or <c>word</c> what only the stage knows.
/// </summary>
[HtmlTargetElement("edit-button")]
public sealed class EditButtonTagHelper(IAntiforgery antiforgery) : TagHelper
{
    /// <summary>The edit.</summary>
    public JobCommand? Edit { get; set; }

    /// <summary>What is asked for in place of an edit, such as <c>undo</c>.</summary>
    public string? Word { get; set; }

    /// <summary>Whether it cannot be pressed now.</summary>
    public bool Off { get; set; }

    /// <summary>The button's class.</summary>
    [HtmlAttributeName("class")]
    public string? Css { get; set; }

    /// <summary>What it does, where its own words are too short for that.</summary>
    public string? Title { get; set; }

    /// <summary>Whether one can see what it would bring before it is made.</summary>
    public bool WhatIf { get; set; }

    /// <summary>Where it stands.</summary>
    [ViewContext, HtmlAttributeNotBound]
    public ViewContext View { get; set; } = null!;

    /// <inheritdoc/>
    public override async Task ProcessAsync(TagHelperContext context, TagHelperOutput output)
    {
        var page = EditFormTagHelper.StageOf(View);
        var asked = Edit is null ? new EditFields(Word ?? "", []) : EditCodec.Write(Edit);
        var button = new TagBuilder("button");
        button.Attributes["data-do"] = asked.Word;
        if (Css is not null)
            button.AddCssClass(Css);
        if (Title is not null)
            (button.Attributes["title"], button.Attributes["aria-label"]) = (Title, Title);
        if (Off)
            button.Attributes["disabled"] = "disabled";
        button.InnerHtml.AppendHtml(await output.GetChildContentAsync());
        output.TagName = "form";
        output.TagMode = TagMode.StartTagAndEndTag;
        output.Attributes.SetAttribute("class", "do");
        EditFormTagHelper.Head(output, page.Link(page.Pick));
        output.Content.AppendHtml(EditFormTagHelper.Hidden(antiforgery, View, page, asked.Word, asked.Fields)).AppendHtml(button);
        if (WhatIf)
            output.Content.AppendHtml(EditFormTagHelper.Asking(page)).AppendHtml(EditFormTagHelper.Answer());
    }
}
