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
        var verdicts = Enumerable.Range(0, 4).Select(_ => Verdict()).ToArray();
        var ids = verdicts.Select(v => shelf.Keep(null, v)).ToArray();
        Assert.Equal(4, ids.Distinct(StringComparer.Ordinal).Count());
        Assert.Null(shelf.Find(ids[0]));
        for (var i = 1; i < ids.Length; i++)
            Assert.Same(verdicts[i], shelf.Find(ids[i]));
        // Bare bytes have no levels to draw.
        Assert.Null(shelf.Draw(ids[3], 0));
    }

    private static CaptureVerdict Verdict() =>
        CaptureFile.Read(new MemoryStream("time,level\n0,1\n1,0\n2,1\n"u8.ToArray())).Verdict!;

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
