using System.Text.Encodings.Web;
using Microsoft.AspNetCore.Html;
using Microsoft.AspNetCore.Mvc.Rendering;

namespace Circuitum.Web.Parts;

/// <summary>Hidden fields of a form.</summary>
internal sealed class HiddenFields : IHtmlContent
{
    private readonly List<TagBuilder> fields = [];

    internal void Add(string name, string value)
    {
        var field = new TagBuilder("input") { TagRenderMode = TagRenderMode.SelfClosing };
        field.Attributes["type"] = "hidden";
        field.Attributes["name"] = name;
        field.Attributes["value"] = value;
        fields.Add(field);
    }

    /// <inheritdoc/>
    public void WriteTo(TextWriter writer, HtmlEncoder encoder)
    {
        foreach (var field in fields)
            field.WriteTo(writer, encoder);
    }
}
