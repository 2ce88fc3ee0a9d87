using System.Runtime.Versioning;
using Zephyros.Core.Captures;
using Zephyros.Web.Captures;

namespace Zephyros.Web.Tests;

public sealed class ShelfTests
{
    [Fact]
    public void The_last_three_recordings_are_kept_and_the_oldest_gives_way()
    {
        var shelf = new CaptureShelf();
        var files = Enumerable.Range(0, 4).Select(_ => Two()).ToArray();
        var ids = files.Select(shelf.Keep).ToArray();
        Assert.Equal(8, ids.SelectMany(i => i).Distinct(StringComparer.Ordinal).Count());
        Assert.Null(shelf.Find(ids[0][0]));
        Assert.Empty(shelf.Beside(ids[0][1]));
        for (var i = 1; i < ids.Length; i++)
        {
            Assert.Same(files[i][1], shelf.Find(ids[i][1]));
            Assert.Equal(ids[i], shelf.Beside(ids[i][0]).Select(l => l.Id));
        }
    }

    // A recording of 50 MB stays alone, whatever was there before.
    [Fact]
    public void Heavy_recordings_give_way_to_the_newest()
    {
        var shelf = new CaptureShelf();
        var heavy = Two()[0] with { Capture = new LineCapture("x", false, new long[5 << 20], 0) };
        var (first, second) = (shelf.Keep([heavy]), shelf.Keep([heavy]));
        Assert.Null(shelf.Find(first[0]));
        Assert.NotNull(shelf.Find(second[0]));
        var light = shelf.Keep(Two());
        Assert.NotNull(shelf.Find(second[0]));
        Assert.NotNull(shelf.Find(light[0]));
    }

    private static IReadOnlyList<CapturedLine> Two() =>
        CaptureFile
            .Read(new MemoryStream("time,one,two\n0,1,0\n1,0,0\n2,1,1\n"u8.ToArray()), CancellationToken.None)
            .Lines;

    [Fact]
    [SupportedOSPlatform("linux")]
    public void What_is_uploaded_is_its_owners_alone_and_goes_away()
    {
        string name;
        using (var file = UploadFile.Open())
        {
            name = file.Name;
            Assert.Equal(UnixFileMode.UserRead | UnixFileMode.UserWrite, File.GetUnixFileMode(name));
        }

        Assert.False(File.Exists(name));
    }
}
