using System.Globalization;
using Circuitum.Web.Pages.Jobs;
using Microsoft.AspNetCore.Antiforgery;
using Microsoft.AspNetCore.Mvc.Rendering;
using Microsoft.AspNetCore.Mvc.ViewFeatures;
using Microsoft.AspNetCore.Razor.TagHelpers;

namespace Circuitum.Web.Parts;

/// <summary>
/// A form of a stage that asks for an edit: <c>edit</c> is its word, <c>with-NAME</c> fields that a person does not fill in. It is sent
/// to the stage that is shown, carries the change that it was drawn from, and puts the answer in the place of the work.
/// </summary>
[HtmlTargetElement("form", Attributes = "edit")]
public sealed class EditFormTagHelper(IAntiforgery antiforgery) : TagHelper
{
    /// <summary>The word of the edit.</summary>
    public string Edit { get; set; } = "";

    /// <summary>Fields that a person does not fill in.</summary>
    [HtmlAttributeName("with", DictionaryAttributePrefix = "with-")]
    public IDictionary<string, string?> With { get; set; } = new Dictionary<string, string?>();

    /// <summary>Whether one can see what it would bring before it is made.</summary>
    public bool WhatIf { get; set; }

    /// <summary>Where it stands.</summary>
    [ViewContext, HtmlAttributeNotBound]
    public ViewContext View { get; set; } = null!;

    /// <inheritdoc/>
    public override void Process(TagHelperContext context, TagHelperOutput output)
    {
        var page = StageOf(View);
        Head(output, page.Link(page.Pick));
        output.PreContent.AppendHtml(Hidden(antiforgery, View, page, Edit, With.Select(w => (w.Key, w.Value ?? ""))));
        if (WhatIf)
            output.PostContent.AppendHtml(Asking(page)).AppendHtml(Answer());
    }

    /// <summary>The button that asks what an edit would bring.</summary>
    internal static TagBuilder Asking(StageModel page)
    {
        var button = new TagBuilder("button");
        button.Attributes["type"] = "button";
        button.Attributes["hx-post"] = $"{page.Link(page.Pick)}&handler=WhatIf";
        button.Attributes["hx-target"] = "next .would";
        button.Attributes["hx-swap"] = "innerHTML";
        button.AddCssClass("ask");
        button.InnerHtml.Append("What it changes");
        return button;
    }

    /// <summary>Where the answer goes.</summary>
    internal static TagBuilder Answer()
    {
        var answer = new TagBuilder("div");
        answer.Attributes["role"] = "status";
        answer.AddCssClass("would");
        return answer;
    }

    internal static StageModel StageOf(ViewContext view) =>
        view.ViewData.Model as StageModel
        ?? view.ViewData["stage"] as StageModel
        ?? throw new InvalidOperationException("An edit stands on a stage.");

    internal static void Head(TagHelperOutput output, string address)
    {
        output.Attributes.SetAttribute("method", "post");
        output.Attributes.SetAttribute("action", address);
        output.Attributes.SetAttribute("hx-post", address);
        output.Attributes.SetAttribute("hx-target", "#work");
        output.Attributes.SetAttribute("hx-swap", "outerHTML");
    }

    internal static HiddenFields Hidden(
        IAntiforgery antiforgery,
        ViewContext view,
        StageModel page,
        string word,
        IEnumerable<(string Name, string Value)> fields
    )
    {
        var hidden = new HiddenFields();
        var token = antiforgery.GetAndStoreTokens(view.HttpContext);
        hidden.Add(token.FormFieldName, token.RequestToken ?? "");
        hidden.Add("stamp", page.Open.Stored.Stamp.ToString(CultureInfo.InvariantCulture));
        hidden.Add("do", word);
        foreach (var (name, value) in fields)
            hidden.Add(name, value);
        return hidden;
    }
}
