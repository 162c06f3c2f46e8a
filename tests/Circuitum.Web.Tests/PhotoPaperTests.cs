using Circuitum.Storage;
using Circuitum.Web.Field;

namespace Circuitum.Web.Tests;

/// <summary>Which pictures a paper shows where a job has more than it can.</summary>
public class PhotoPaperTests
{
    private static PhotoRow Photo(int number, string task) =>
        new()
        {
            JobId = "job",
            Number = number,
            EntryId = $"{number}",
            Task = task,
            By = "desk",
        };

    [Theory]
    [InlineData(1)]
    [InlineData(40)]
    [InlineData(90)]
    [InlineData(1000)]
    public void Every_wall_keeps_its_newest_picture_before_any_has_two_and_what_is_left_out_is_told(int most)
    {
        var random = new Random(7);
        var all = Enumerable.Range(1, 300).Select(n => Photo(n, $"photo/room/{random.Next(60)}")).ToList();
        var shown = PhotoDesk.OnPaper(all, most).ToList();
        shown.Count.ShouldBe(Math.Min(most, all.Count));
        shown.Select(s => s.Photo.Number).ShouldBeInOrder();
        var byTask = shown.ToLookup(s => s.Photo.Task);
        if (most >= all.Select(p => p.Task).Distinct().Count())
            byTask.Count.ShouldBe(all.Select(p => p.Task).Distinct().Count());
        foreach (var task in byTask)
        {
            var whole = all.Where(p => p.Task == task.Key).ToList();
            task.Select(s => s.Photo.Number).ShouldBe(whole.TakeLast(task.Count()).Select(p => p.Number));
            task.ShouldAllBe(s => s.Older == whole.Count - task.Count());
        }

        // No wall has two more than another that still has one left out.
        foreach (var task in byTask.Where(t => t.First().Older > 0))
            byTask.Max(t => t.Count()).ShouldBeLessThanOrEqualTo(task.Count() + 1);
    }
}
