using Microsoft.Data.Sqlite;
using Zephyros.Core.Air;
using Zephyros.Core.Evidence;

namespace Zephyros.Storage.Tests;

/// <summary>Pages of the data file are damaged, one after the other, in four ways: every answer is a sentence that names the file, and
/// nothing that is missing is missing in silence.</summary>
public sealed class DamagedPageTests : IDisposable
{
    private const int PageBytes = 4096;
    private const int Evidences = 40;
    private readonly TemporaryStore temporary = new();
    private readonly byte[] sound;

    public DamagedPageTests()
    {
        foreach (var name in (string[])["gannet", "sandpiper", "wren"])
        {
            var made = temporary.Store.Create(TemporaryStore.Demo(name), "new");
            temporary.Store.Save(
                made.Id,
                1,
                made.Setup with
                {
                    Craft = made.Setup.Craft with { Summary = "two" },
                },
                "x"
            );
        }

        var evidence = new EvidenceStore(temporary.Database, TimeProvider.System);
        for (var i = 0; i < Evidences; i++)
            evidence.Add("wren", EvidenceKind.Bind, new BindRecord { Note = new string('n', 500) }, []);
        new LinkProfileStore(temporary.Database, TimeProvider.System).Put(LinkProfiles.BuiltIn[0]);
        temporary.Execute($"VACUUM INTO '{temporary.File}.sound'");
        sound = File.ReadAllBytes(temporary.File + ".sound");
    }

    public void Dispose() => temporary.Dispose();

    [Theory]
    [InlineData("zero")]
    [InlineData("random")]
    [InlineData("bits")]
    [InlineData("cut")]
    public void Whatever_is_damaged_is_said(string how)
    {
        var (opened, told) = (0, 0);
        for (var page = 0; page < sound.Length / PageBytes; page++)
        {
            var bytes = Damaged(how, page);
            var file = $"{temporary.File}.{how}{page}";
            File.WriteAllBytes(file, bytes);
            try
            {
                using var database = Database.Open(file);
                opened++;
                var setups = new SetupStore(database, TimeProvider.System);
                var evidence = new EvidenceStore(database, TimeProvider.System);
                var profiles = new LinkProfileStore(database, TimeProvider.System);
                var listed = setups.List().Select(s => s.Id).ToArray();
                var unreadable = new Salvage(database, setups, evidence, profiles).List();
                Assert.All(unreadable, u => Assert.NotEmpty(u.Reason));
                told += unreadable.Count > 0 ? 1 : 0;
                foreach (var id in listed)
                {
                    Assert.NotNull(setups.Find(id));
                    setups.Text(id);
                }

                // A flipped bit in a text may leave another text that reads as well; nothing can tell.
                if (unreadable.Count == 0 && how != "bits")
                {
                    Assert.Equal(3, listed.Length);
                    Assert.Equal(Evidences, evidence.List<BindRecord>("wren", EvidenceKind.Bind).Count);
                    Assert.Single(profiles.List());
                }

                setups.Save("wren", 2, TemporaryStore.Demo("wren"), "goes on");
            }
            catch (StoreException error)
            {
                Assert.Contains(Path.GetFileName(file), error.Message, StringComparison.Ordinal);
                told++;
            }
            catch (UnreadableException)
            {
                told++;
            }
            catch (SqliteException error)
            {
                Assert.Contains(error.SqliteErrorCode, (int[])[11, 26]);
                told++;
            }
        }

        Assert.True(opened > 0 && told > 5, $"{opened} opened, {told} told");
    }

    // Of a file whose newest revision of a craft is gone, the one before can be taken away.
    [Fact]
    public void What_can_still_be_read_of_a_craft_can_be_taken_away()
    {
        var newest = temporary.Store.Text("wren");
        var older = Enumerable
            .Range(1, (sound.Length / PageBytes) - 1)
            .Select(page =>
            {
                var file = $"{temporary.File}.text{page}";
                File.WriteAllBytes(file, Damaged("random", page));
                using var database = Database.Open(file);
                return Record.Exception(() => new SetupStore(database, TimeProvider.System).Text("wren")) is null
                    ? new SetupStore(database, TimeProvider.System).Text("wren")
                    : null;
            })
            .Where(text => text is not null && text != newest);
        Assert.NotEmpty(older);
    }

    private byte[] Damaged(string how, int page)
    {
        var bytes = sound.ToArray();
        var random = new Random(page);
        var there = bytes.AsSpan(page * PageBytes, PageBytes);
        switch (how)
        {
            case "zero":
                there.Clear();
                break;
            case "random":
                random.NextBytes(there);
                break;
            case "bits":
                for (var i = 0; i < 20; i++)
                    there[random.Next(PageBytes)] ^= (byte)(1 << random.Next(8));
                break;
            default:
                return bytes[..(page * PageBytes + 1000)];
        }

        return bytes;
    }
}
