using System.CommandLine;
using Circuitum.Cli;
using Circuitum.Core.Codes;
using Circuitum.Formats.Exports;

var file = new Argument<FileInfo>("file") { Description = "A job file." };
var output = new Option<FileInfo>("--out") { Description = "Where to write. Without it, standard output." };
var form = new Option<string>("--as")
{
    Description = $"What to write: {string.Join(", ", ExportList.All.Select(e => e.Form))}.",
    Required = true,
};
form.AcceptOnlyFromAmong([.. ExportList.All.Select(e => e.Form)]);
var storey = new Option<string?>("--storey") { Description = "For a plan as one file: the storey's id; the first one without it." };
var size = new Option<string>("--size") { Description = "For papers: letter, a4 or a3.", DefaultValueFactory = _ => "letter" };
size.AcceptOnlyFromAmong(Circuitum.Formats.Documents.PaperSizes.Names);
var data = new Option<DirectoryInfo?>("--data") { Description = "The data directory of the web application." };

var plan = new Command("plan", "Fills what is undecided: boxes, circuits, spaces.") { file, output };
plan.SetAction((r, c) => Work.Plan(r.GetValue(file)!, r.GetValue(output), c));
var check = new Command("check", "Prints the findings. Exit 0 without a must finding, 1 with one, 2 on bad input.") { file };
check.SetAction((r, c) => Work.Check(r.GetValue(file)!, c));
var export = new Command("export", "Writes a paper or the job file.") { file, form, output, storey, size };
export.SetAction(
    (r, c) =>
        Work.Export(
            r.GetValue(file)!,
            r.GetValue(form)!,
            r.GetValue(output),
            r.GetValue(storey),
            Circuitum.Formats.Documents.PaperSizes.Of(r.GetValue(size)),
            c
        )
);
var analyze = new Command("analyze", "Writes the whole analysis as JSON.") { file, output };
analyze.SetAction((r, c) => Work.Analyze(r.GetValue(file)!, r.GetValue(output), c));
var import = new Command("import", "Puts a job file into the web application's database.") { file, data };
import.SetAction((r, c) => Work.Import(r.GetValue(file)!, r.GetValue(data), c));

var backupFile = new Argument<FileInfo>("file") { Description = "The backup." };
var backup = new Command("backup", "Copies the live database with its pictures into one file, and opens it to see that it is whole.")
{
    backupFile,
    data,
};
backup.SetAction((r, c) => StoreWork.Backup(r.GetValue(backupFile)!, r.GetValue(data), c));
var restore = new Command(
    "restore",
    "Puts a backup into an empty data directory; beside it, never over it, where it has a database, with a list of what differs."
)
{
    backupFile,
    data,
};
restore.SetAction((r, c) => StoreWork.Restore(r.GetValue(backupFile)!, r.GetValue(data), c));
var archive = new Command("archive", "Writes a job with its history, pictures and field entries into one file.")
{
    new Argument<string>("job") { Description = "The job's id, or all for each into a file of its own in the directory --out." },
    output,
    data,
};
archive.SetAction((r, c) => StoreWork.Archive(r.GetValue<string>("job")!, r.GetValue(output), r.GetValue(data), c));

var walls = new Option<string[]>("--walls")
{
    Description = "Layers of walls; guessed from their names without it.",
    AllowMultipleArgumentsPerToken = true,
};
var rooms = new Option<string[]>("--rooms") { Description = "Layers of closed room outlines.", AllowMultipleArgumentsPerToken = true };
var doors = new Option<string[]>("--doors") { Description = "Layers of doors.", AllowMultipleArgumentsPerToken = true };
var windows = new Option<string[]>("--windows") { Description = "Layers of windows.", AllowMultipleArgumentsPerToken = true };
var units = new Option<string?>("--units") { Description = "in, ft, mm, cm or m; what the file says without it." };
units.AcceptOnlyFromAmong("in", "ft", "mm", "cm", "m");
var drawing = new Command("read-dxf", "Makes a job of an ASCII DXF drawing and prints what was taken.")
{
    file,
    output,
    rooms,
    walls,
    doors,
    windows,
    units,
};
drawing.SetAction(
    (r, c) =>
        Work.ReadDrawing(
            r.GetValue(file)!,
            r.GetValue(output),
            new Layers(r.GetValue(rooms), r.GetValue(walls), r.GetValue(doors), r.GetValue(windows), r.GetValue(units)),
            c
        )
);

var bench = new Command("bench", "Answers a quick question without a job, as JSON with its steps and citations.");
foreach (var question in Circuitum.Core.Bench.BenchDesk.Questions)
{
    var asked = new Command(question.Name, question.Title);
    var options = question
        .Fields.Select(f => new Option<string[]>($"--{f.Name}")
        {
            Description =
                $"{f.Title}.{(f.Choices.Length > 0 ? $" One of {string.Join(", ", f.Choices)}." : "")}"
                + $"{(f.Example.Length > 0 ? $" Such as {f.Example}." : "")}"
                + $"{(f.Default.Length > 0 ? $" Without it: {f.Default}." : "")}",
            Arity = ArgumentArity.OneOrMore,
            AllowMultipleArgumentsPerToken = false,
        })
        .ToList();
    foreach (var option in options)
        asked.Add(option);
    asked.SetAction(r => Work.Bench(question, options.SelectMany(o => (r.GetValue(o) ?? []).Select(v => (o.Name[2..], v)))));
    bench.Add(asked);
}

var rules = new Command("rules", "Prints the table of the rules, as in docs/rules.md.");
var family = new Argument<string>("family") { Description = "us, ca, sb", DefaultValueFactory = _ => CodeLibrary.Newest.Family };
family.AcceptOnlyFromAmong([.. CodeLibrary.EditionIds.Select(id => CodeLibrary.Edition(id).Family).Distinct()]);
rules.Add(family);
rules.SetAction(r => Console.Write(Circuitum.Formats.RulesMarkdown.Write(r.GetValue(family)!)));

var root = new RootCommand(
    "Plans the rough-in of a house from a job file. A planning aid: the local authority and licensed practice decide."
)
{
    plan,
    check,
    export,
    analyze,
    import,
    backup,
    restore,
    archive,
    drawing,
    bench,
    rules,
};
var parsed = root.Parse(args);
if (parsed.Errors.Count > 0)
{
    foreach (var error in parsed.Errors)
        await Console.Error.WriteLineAsync(error.Message);
    return 2;
}

// 1 means a must finding and nothing else; whatever breaks ends with 2 and a sentence.
try
{
    return await parsed.InvokeAsync(new InvocationConfiguration { EnableDefaultExceptionHandler = false });
}
catch (Circuitum.Storage.StoreException e)
{
    await Console.Error.WriteLineAsync(e.Message);
    return 2;
}
catch (OperationCanceledException)
{
    await Console.Error.WriteLineAsync("Stopped before it was done.");
    return 2;
}
catch (Exception e)
{
    await Console.Error.WriteLineAsync($"The program failed: {e.Message} Nothing was written.");
    return 2;
}
