using CsCheck;
using Microsoft.Data.Sqlite;
using Zephyros.Core.Model;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Patches;
using Zephyros.Core.Units;

namespace Zephyros.Storage.Tests;

public sealed class SetupStoreTests : IDisposable
{
    private readonly TemporaryStore temporary = new();

    private SetupStore Store => temporary.Store;

    public void Dispose() => temporary.Dispose();

    [Fact]
    public void Ids_are_made_of_names_and_stay_apart()
    {
        var sandpiper = TemporaryStore.Demo("sandpiper");
        Assert.Equal("sandpiper", Store.Create(sandpiper, "new").Id);
        Assert.Equal("sandpiper-2", Store.Create(sandpiper, "new").Id);
        var odd = sandpiper with { Craft = sandpiper.Craft with { Name = "Ø  No. 7!" } };
        Assert.Equal("no-7", Store.Create(odd, "new").Id);
        Assert.Equal("x", Store.Create(odd with { Craft = odd.Craft with { Name = "X" } }, "new").Id);
        Assert.Equal("a-b", Store.Create(odd with { Craft = odd.Craft with { Name = "A b" } }, "new").Id);
        Assert.Equal("craft", Store.Create(odd with { Craft = odd.Craft with { Name = "ÆØÅ" } }, "new").Id);
    }

    [Fact]
    public void A_save_survives_closing_and_opening()
    {
        var id = Store.Create(TemporaryStore.Demo("wren"), "new").Id;
        Store.Save(id, 1, WithMap(TemporaryStore.Demo("wren"), "RTEA"), "Board reads R T E A");
        var again = temporary.Open().Find(id)!;
        Assert.Equal(
            (2, "RTEA", "Board reads R T E A"),
            (again.Revision, again.Setup.Board.Map.ToString(), again.UndoTitle)
        );
    }

    [Fact]
    public void A_stale_save_changes_nothing_and_says_what_is_current()
    {
        var id = Store.Create(TemporaryStore.Demo("wren"), "new").Id;
        Store.Save(id, 1, WithMap(TemporaryStore.Demo("wren"), "RTEA"), "first");
        var late = Store.Save(id, 1, WithMap(TemporaryStore.Demo("wren"), "TAER"), "second");
        Assert.Equal((SaveOutcome.Stale, 2), (late.Outcome, late.Current!.Revision));
        Assert.Equal("RTEA", Store.Find(id)!.Setup.Board.Map.ToString());
        Assert.Equal(SaveOutcome.NotFound, Store.Save("nobody", 1, late.Current.Setup, "x").Outcome);
    }

    [Fact]
    public void What_is_put_away_is_brought_back_with_all_its_history_and_names()
    {
        var id = Store.Create(TemporaryStore.Demo("wren"), "new").Id;
        Store.Save(id, 1, WithMap(TemporaryStore.Demo("wren"), "RTEA"), "first");
        Assert.True(Store.Name(id, 1, "as flown") && Store.Name(id, 2, "a try") && Store.Name(id, 2, ""));
        Assert.True(Store.Shelve(id, away: true) && Store.Shelve(id, away: true));
        Assert.False(Store.Shelve("nobody", away: true) || Store.Name(id, 3, "x") || Store.Name("nobody", 1, "x"));
        var store = temporary.Open();
        Assert.Empty(store.List());
        Assert.Equal((id, "Wren"), (store.PutAway().Single().Id, store.PutAway().Single().Name));
        // It is still there, can be edited, and keeps its id.
        Assert.Equal(SaveOutcome.Saved, store.Save(id, 2, WithMap(store.Find(id)!.Setup, "TAER"), "second").Outcome);
        Assert.Equal("wren-2", store.Create(TemporaryStore.Demo("wren"), "new").Id);
        Assert.True(store.Shelve(id, away: false));
        Assert.Equal([id, "wren-2"], store.List().Select(s => s.Id));
        Assert.Empty(store.PutAway());
        Assert.Equal(["", "", "as flown"], store.History(id).Select(r => r.Name));
    }

    [Theory]
    [InlineData("UPDATE shelf SET away = 0")]
    [InlineData("DELETE FROM shelf")]
    [InlineData("UPDATE revision_names SET name = 'x'")]
    [InlineData("DELETE FROM revision_names")]
    public void Shelf_and_names_are_only_added_to(string sql)
    {
        var id = Store.Create(TemporaryStore.Demo("wren"), "new").Id;
        Store.Shelve(id, away: true);
        Store.Name(id, 1, "as flown");
        using var connection = new SqliteConnection($"Data Source={temporary.File};Pooling=False");
        connection.Open();
        using var command = connection.CreateCommand();
        command.CommandText = sql;
        Assert.Contains(
            "append-only",
            Assert.Throws<SqliteException>(() => command.ExecuteNonQuery()).Message,
            StringComparison.Ordinal
        );
    }

    // The hangar is read as it was before somebody began to write.
    [Fact]
    public void Whoever_writes_keeps_nobody_from_reading()
    {
        Store.Create(TemporaryStore.Demo("wren"), "new");
        using var writing = new SqliteConnection($"Data Source={temporary.File};Pooling=False");
        writing.Open();
        using var begun = writing.BeginTransaction(deferred: false);
        Assert.Single(Store.List());
        Assert.Empty(Store.Unreadable());
    }

    // Each writer begins again on what is current, as the interface does: of all that begin on one revision one wins.
    [Fact]
    public void Of_writers_that_begin_on_the_same_revision_one_wins_and_nothing_is_lost()
    {
        var wren = TemporaryStore.Demo("wren");
        var id = Store.Create(wren, "new").Id;
        const int Writers = 4;
        const int Each = 10;
        Parallel.For(
            0,
            Writers,
            new ParallelOptions { MaxDegreeOfParallelism = Writers },
            writer =>
            {
                var store = temporary.Open();
                var revision = 1;
                for (var i = 0; i < Each; )
                {
                    var said = store.Save(id, revision, wren, $"writer {writer}, {i}");
                    revision = said.Current!.Revision;
                    if (said.Outcome == SaveOutcome.Saved)
                        i++;
                    else
                        Assert.Equal(SaveOutcome.Stale, said.Outcome);
                }
            }
        );
        var history = Store.History(id);
        Assert.Equal(1 + (Writers * Each), Store.Find(id)!.Revision);
        Assert.Equal(Enumerable.Range(1, history.Count), history.Select(h => h.Number).Order());
        for (var writer = 0; writer < Writers; writer++)
            Assert.Equal(
                Enumerable.Range(0, Each).Select(i => $"writer {writer}, {i}"),
                history
                    .OrderBy(h => h.Number)
                    .Select(h => h.Title)
                    .Where(t => t.StartsWith($"writer {writer},", StringComparison.Ordinal))
            );
    }

    [Fact]
    public void Undo_and_redo_walk_a_linear_history_that_keeps_everything()
    {
        var wren = TemporaryStore.Demo("wren");
        var id = Store.Create(wren, "new").Id;
        Store.Save(id, 1, WithMap(wren, "RTEA"), "a");
        Store.Save(id, 2, WithMap(wren, "TAER"), "b");
        Assert.Equal("RTEA", Map(Store.Undo(id, 3)));
        Assert.Equal("AETR", Map(Store.Undo(id, 4)));
        Assert.Equal(SaveOutcome.NothingToDo, Store.Undo(id, 5).Outcome);
        Assert.Equal("RTEA", Map(Store.Redo(id, 5)));
        // A new edit clears what could be redone.
        Store.Save(id, 6, WithMap(wren, "EATR"), "c");
        Assert.Equal(SaveOutcome.NothingToDo, Store.Redo(id, 7).Outcome);
        Assert.Equal("RTEA", Map(Store.Undo(id, 7)));
        Assert.Equal("EATR", Map(Store.Redo(id, 8)));
        Assert.Equal(
            [(9, 7), (8, 2), (7, 7), (6, 2), (5, 1), (4, 2), (3, 3), (2, 2), (1, 1)],
            Store.History(id).Select(r => (r.Number, r.Shows))
        );
        Assert.Equal("TAER", Store.At(id, 3)!.Board.Map.ToString());
    }

    [Fact]
    public void Any_walk_of_edits_undos_and_redos_agrees_with_two_stacks() =>
        Gen.Int[0, 4]
            .Array[1, 30]
            .Sample(
                walk =>
                {
                    var wren = TemporaryStore.Demo("wren");
                    var stored = Store.Create(wren, "new");
                    var (done, undone) = (new Stack<string>([CanonicalJson.Write(wren)]), new Stack<string>());
                    foreach (var (step, i) in walk.Select((s, i) => (s, i)))
                    {
                        SaveResult result;
                        if (step >= 2)
                        {
                            var edited = stored.Setup with
                            {
                                Board = stored.Setup.Board with { ThrottleLow = new Microseconds(1000 + i) },
                            };
                            result = Store.Save(stored.Id, stored.Revision, edited, "edit");
                            done.Push(CanonicalJson.Write(edited));
                            undone.Clear();
                        }
                        else
                        {
                            result =
                                step == 0
                                    ? Store.Undo(stored.Id, stored.Revision)
                                    : Store.Redo(stored.Id, stored.Revision);
                            var (from, to) = step == 0 ? (done, undone) : (undone, done);
                            var possible = step == 0 ? done.Count > 1 : undone.Count > 0;
                            if (possible != (result.Outcome == SaveOutcome.Saved))
                                return false;
                            if (possible)
                                to.Push(from.Pop());
                        }

                        stored = result.Current!;
                        if (CanonicalJson.Write(stored.Setup) != done.Peek())
                            return false;
                    }

                    return true;
                },
                iter: Environment.GetEnvironmentVariable("DEEP") == "1" ? 1000 : 20,
                threads: 1
            );

    [Theory]
    [InlineData("UPDATE revisions SET title = 'x'")]
    [InlineData("DELETE FROM revisions")]
    [InlineData("DELETE FROM setups")]
    public void Revisions_cannot_be_changed_or_deleted(string sql)
    {
        Store.Create(TemporaryStore.Demo("wren"), "new");
        Assert.Throws<SqliteException>(() => temporary.Execute("PRAGMA foreign_keys = ON; " + sql));
        Assert.Single(Store.List());
    }

    private static Setup WithMap(Setup setup, string map) =>
        setup with
        {
            Board = setup.Board with { Map = StickOrder.Parse(map) },
        };

    private static string Map(SaveResult result) => result.Current!.Setup.Board.Map.ToString();
}
