using Zephyros.Core.Air;
using Zephyros.Core.Evidence;

namespace Zephyros.Storage.Tests;

/// <summary>The data file is taken away from under the program: what cannot be kept is not said to be, and what was there can be read.</summary>
public sealed class LostFileTests : IDisposable
{
    private readonly TemporaryStore temporary = new();
    private readonly string elsewhere;

    public LostFileTests()
    {
        elsewhere = temporary.File + ".elsewhere";
        temporary.Store.Create(TemporaryStore.Demo("wren"), "new");
    }

    public void Dispose() => temporary.Dispose();

    [Fact]
    public void A_file_that_is_moved_takes_nothing_more_until_it_is_back()
    {
        File.Move(temporary.File, elsewhere);
        AssertNothingIsKept();
        Assert.False(File.Exists(temporary.File));
        File.Move(elsewhere, temporary.File);
        Assert.Equal("gannet", temporary.Store.Create(TemporaryStore.Demo("gannet"), "new").Id);
        Assert.Equal(["gannet", "wren"], temporary.Open().List().Select(s => s.Id));
    }

    [Fact]
    public void A_file_that_is_deleted_can_still_be_read()
    {
        File.Delete(temporary.File);
        AssertNothingIsKept();
        Assert.False(File.Exists(temporary.File));
    }

    [Fact]
    public void Another_file_in_its_place_is_left_alone()
    {
        using var other = new TemporaryStore();
        other.Store.Create(TemporaryStore.Demo("sandpiper"), "new");
        other.Execute($"VACUUM INTO '{elsewhere}'");
        var before = File.ReadAllBytes(elsewhere);
        File.Move(elsewhere, temporary.File, overwrite: true);
        AssertNothingIsKept();
        Assert.Equal(before, File.ReadAllBytes(temporary.File));
    }

    [Fact]
    public void A_file_that_is_closed_holds_everything_without_another_beside_it()
    {
        temporary.Database.Dispose();
        Assert.False(File.Exists(temporary.File + "-wal"));
        File.Copy(temporary.File, elsewhere);
        using var copy = Database.Open(elsewhere);
        Assert.Single(new SetupStore(copy, TimeProvider.System).List());
    }

    [Fact]
    public void A_second_program_gets_no_folder_that_is_in_use()
    {
        var folder = Path.GetDirectoryName(temporary.File)!;
        using (FolderLock.Take(folder))
            Assert.Contains(
                $"The folder {folder} is used",
                Assert.Throws<StoreException>(() => FolderLock.Take(folder)).Message,
                StringComparison.Ordinal
            );
        FolderLock.Take(folder).Dispose();
    }

    private void AssertNothingIsKept()
    {
        var wren = TemporaryStore.Demo("wren");
        var (evidence, profiles) = (
            new EvidenceStore(temporary.Database, TimeProvider.System),
            new LinkProfileStore(temporary.Database, TimeProvider.System)
        );
        foreach (
            Action write in (Action[])
                [
                    () => temporary.Store.Create(wren, "lost"),
                    () => temporary.Store.Save("wren", 1, wren, "lost"),
                    () => evidence.Add("wren", EvidenceKind.Bind, new BindRecord(), []),
                    () => profiles.Put(LinkProfiles.BuiltIn[0]),
                    () => profiles.Remove("mine"),
                ]
        )
            Assert.Contains(
                "The data file zephyros.db was moved, deleted or replaced",
                Assert.Throws<StoreException>(write).Message,
                StringComparison.Ordinal
            );
        Assert.Equal(1, Assert.Single(temporary.Store.List()).Revision);
        Assert.NotNull(temporary.Store.Find("wren"));
        Assert.Equal(
            DocumentKind.DataFile,
            Assert.Single(new Salvage(temporary.Database, temporary.Store, evidence, profiles).List()).Kind
        );
    }
}
