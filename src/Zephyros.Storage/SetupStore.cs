using System.Collections.Concurrent;
using System.Globalization;
using System.Text;
using Microsoft.Data.Sqlite;
using Zephyros.Core.Edits;
using Zephyros.Core.Setups;
using Zephyros.Core.Setups.Json;
using Zephyros.Core.Setups.Patches;

namespace Zephyros.Storage;

/// <summary>Keeps setups as append-only revisions with an undo cursor. Safe for use by several threads.</summary>
/// <remarks>History is linear: an undo shows the parent of the edit shown now, a redo the newest edit made from what is shown now,
/// and a new edit makes what was undone unreachable. Every write is one immediate transaction.</remarks>
public sealed partial class SetupStore
{
    private readonly Database database;
    private readonly TimeProvider clock;

    // The text read last of each setup with what it means: the same text need not be parsed and checked again.
    private readonly ConcurrentDictionary<string, (string Text, SetupReading Reading)> parsed = new(
        StringComparer.Ordinal
    );

    /// <summary>A store on an open data file.</summary>
    public SetupStore(Database database, TimeProvider clock)
    {
        this.database = database;
        this.clock = clock;
    }

    /// <summary>True when there is no setup in the file, readable or not.</summary>
    public bool IsEmpty
    {
        get
        {
            using var connection = database.Connect();
            return Ids(connection).Count == 0;
        }
    }

    /// <summary>All setups that can be read and are not put away, as they stand, by id.</summary>
    public IReadOnlyList<StoredSetup> List() =>
        Each(
            (connection, id, head) =>
                AwaySince(connection, id) is null && Parse(id, head.Document).Setup is { } setup
                    ? Stored(connection, id, head, setup)
                    : null
        );

    /// <summary>The setups that cannot be read as they stand, by id.</summary>
    public IReadOnlyList<UnreadableDocument> Unreadable() =>
        Each(
            (connection, id, head) =>
                Parse(id, head.Document) is { Setup: null } reading
                    ? new UnreadableDocument(
                        DocumentKind.Setup,
                        id,
                        id,
                        StoredJson.Name(head.Document, id, "craft", "name"),
                        head.Number,
                        head.At,
                        Reason(reading),
                        Parent(connection, id, head.Shows)?.Title
                    )
                    : null,
            id => new UnreadableDocument(
                DocumentKind.Setup,
                id,
                id,
                id,
                null,
                null,
                "The data file is damaged where it stands. What can be taken away is its newest revision that can be read, if there is one."
            )
        );

    /// <summary>The text of a setup as it is stored, or as far back as the file is damaged; null when there is none.</summary>
    public string? Text(string id)
    {
        using var connection = database.Connect();
        try
        {
            return HeadOf(connection, id)?.Document;
        }
        catch (DamagedException)
        {
            return NewestText(connection, id);
        }
    }

    /// <summary>A setup as it stands, or null when there is none of that id.</summary>
    /// <exception cref="UnreadableException">There is one, and it cannot be read.</exception>
    public StoredSetup? Find(string id)
    {
        using var connection = database.Connect();
        using var transaction = connection.BeginTransaction(deferred: true);
        return Current(connection, id);
    }

    /// <summary>The history of a setup, newest first; empty when there is none of that id.</summary>
    public IReadOnlyList<RevisionEntry> History(string id)
    {
        using var connection = database.Connect();
        return Rows.Read(
            connection,
            "SELECT number, kind, title, shows, saved_at, COALESCE((SELECT name FROM revision_names n "
                + "WHERE n.setup_id = r.setup_id AND n.number = r.number ORDER BY n.id DESC LIMIT 1), '') "
                + "FROM revisions r WHERE setup_id = $id ORDER BY number DESC",
            row => new RevisionEntry(
                row.GetInt32(0),
                Kind(row.GetString(1)),
                row.GetString(2),
                row.GetInt32(3),
                Time(row.GetString(4)),
                row.GetString(5)
            ),
            ("$id", id)
        );
    }

    /// <summary>The setup as it was at a revision, or null when there is no such revision.</summary>
    /// <exception cref="UnreadableException">There is one, and it cannot be read.</exception>
    public Setup? At(string id, int revision)
    {
        using var connection = database.Connect();
        return Rows.Read(
                connection,
                "SELECT d.document FROM revisions r JOIN revisions d ON d.setup_id = r.setup_id AND d.number = r.shows "
                    + "WHERE r.setup_id = $id AND r.number = $number",
                row => Setup(id, SetupJson.Read(Encoding.UTF8.GetBytes(row.GetString(0)))),
                ("$id", id),
                ("$number", revision)
            )
            .FirstOrDefault();
    }

    /// <summary>Stores a new setup under an id made of its craft's name.</summary>
    public StoredSetup Create(Setup setup, string title)
    {
        using var connection = database.Connect();
        using var transaction = database.Begin(connection);
        var id = NewId(connection, setup.Craft.Name);
        Write(connection, "INSERT INTO setups (id, created_at) VALUES ($id, $at)", ("$id", id), ("$at", Now()));
        Insert(connection, id, 1, RevisionKind.Create, title, shows: 1, parent: null, setup);
        var stored = Current(connection, id)!;
        database.Commit(transaction);
        return stored;
    }

    /// <summary>Saves an edited setup.</summary>
    /// <param name="id">The setup's id.</param>
    /// <param name="startedFrom">The revision that the edit was made on; a setup that has moved on is not written.</param>
    /// <param name="setup">The new state.</param>
    /// <param name="title">What was done, in words.</param>
    public SaveResult Save(string id, int startedFrom, Setup setup, string title) =>
        Append(
            id,
            startedFrom,
            (connection, head) =>
            {
                var next = head.Number + 1;
                Insert(connection, id, next, RevisionKind.Edit, title, next, head.Shows, setup);
                return true;
            }
        );

    /// <summary>Takes the latest edit back.</summary>
    public SaveResult Undo(string id, int startedFrom) =>
        Append(
            id,
            startedFrom,
            (connection, head) =>
                Parent(connection, id, head.Shows) is { } parent
                && Point(connection, id, head.Number + 1, RevisionKind.Undo, parent.Title, parent.Number)
        );

    /// <summary>Brings the edit back that was undone last.</summary>
    public SaveResult Redo(string id, int startedFrom) =>
        Append(
            id,
            startedFrom,
            (connection, head) =>
                Child(connection, id, head.Shows) is { } child
                && Point(connection, id, head.Number + 1, RevisionKind.Redo, child.Title, child.Number)
        );

    private SaveResult Append(string id, int startedFrom, Func<SqliteConnection, Head, bool> write)
    {
        using var connection = database.Connect();
        using var transaction = database.Begin(connection);
        // What stands there need not be readable: an undo leads away from it.
        if (HeadOf(connection, id) is not { } head)
            return new SaveResult(SaveOutcome.NotFound, null);
        if (head.Number != startedFrom)
            return new SaveResult(SaveOutcome.Stale, Current(connection, id));
        if (!write(connection, head))
            return new SaveResult(SaveOutcome.NothingToDo, Current(connection, id));
        var saved = Current(connection, id);
        database.Commit(transaction);
        return new SaveResult(SaveOutcome.Saved, saved);
    }

    private List<T> Each<T>(Func<SqliteConnection, string, Head, T?> make, Func<string, T>? damaged = null)
        where T : class
    {
        using var connection = database.Connect();
        using var transaction = connection.BeginTransaction(deferred: true);
        return [.. Ids(connection).Select(Made).OfType<T>()];

        T? Made(string id)
        {
            try
            {
                return HeadOf(connection, id) is { } head ? make(connection, id, head) : damaged?.Invoke(id);
            }
            catch (DamagedException)
            {
                return damaged?.Invoke(id);
            }
        }
    }

    // The index may be what is damaged.
    private static string? NewestText(SqliteConnection connection, string id)
    {
        var numbers = Rows.Read(
            connection,
            "SELECT number FROM revisions NOT INDEXED WHERE setup_id = $id ORDER BY number DESC",
            row => row.GetInt32(0),
            ("$id", id)
        );
        foreach (var number in numbers)
        {
            try
            {
                if (
                    Rows.Read(
                        connection,
                        "SELECT document FROM revisions NOT INDEXED WHERE setup_id = $id AND number = $n AND document IS NOT NULL",
                        row => row.GetString(0),
                        ("$id", id),
                        ("$n", number)
                    )
                    is [var text]
                )
                    return text;
            }
            catch (DamagedException)
            {
                // An older one may lie elsewhere.
            }
        }

        return null;
    }

    private StoredSetup? Current(SqliteConnection connection, string id) =>
        HeadOf(connection, id) is { } head ? Stored(connection, id, head, Setup(id, Parse(id, head.Document))) : null;

    private static StoredSetup Stored(SqliteConnection connection, string id, Head head, Setup setup) =>
        new(
            id,
            head.Number,
            head.At,
            setup,
            Parent(connection, id, head.Shows)?.Title,
            Child(connection, id, head.Shows)?.Title
        );

    // Where a setup stands: its newest revision, which that shows, and the text of that.
    private readonly record struct Head(int Number, DateTimeOffset At, int Shows, string Document);

    private static Head? HeadOf(SqliteConnection connection, string id) =>
        Rows.Read(
                connection,
                "SELECT r.number, r.saved_at, r.shows, d.document FROM revisions r "
                    + "JOIN revisions d ON d.setup_id = r.setup_id AND d.number = r.shows "
                    + "WHERE r.setup_id = $id ORDER BY r.number DESC LIMIT 1",
                row => (Head?)new Head(row.GetInt32(0), Time(row.GetString(1)), row.GetInt32(2), row.GetString(3)),
                ("$id", id)
            )
            .FirstOrDefault();

    // What was there before an edit, with the title of that edit.
    private static (int Number, string Title)? Parent(SqliteConnection connection, string id, int number) =>
        First(
            connection,
            "SELECT parent, title FROM revisions WHERE setup_id = $id AND number = $n AND parent IS NOT NULL",
            ("$id", id),
            ("$n", number)
        );

    // The newest edit that was made from a revision.
    private static (int Number, string Title)? Child(SqliteConnection connection, string id, int number) =>
        First(
            connection,
            "SELECT number, title FROM revisions WHERE setup_id = $id AND parent = $n ORDER BY number DESC LIMIT 1",
            ("$id", id),
            ("$n", number)
        );

    private static (int Number, string Title)? First(
        SqliteConnection connection,
        string sql,
        params (string Name, object? Value)[] values
    ) =>
        Rows.Read(connection, sql, row => ((int, string)?)(row.GetInt32(0), row.GetString(1)), values).FirstOrDefault();

    private bool Point(SqliteConnection connection, string id, int number, RevisionKind kind, string title, int shows)
    {
        Insert(connection, id, number, kind, title, shows, parent: null, setup: null);
        return true;
    }

    private void Insert(
        SqliteConnection connection,
        string id,
        int number,
        RevisionKind kind,
        string title,
        int shows,
        int? parent,
        Setup? setup
    ) =>
        Write(
            connection,
            "INSERT INTO revisions (setup_id, number, kind, title, shows, parent, document, saved_at) "
                + "VALUES ($id, $number, $kind, $title, $shows, $parent, $document, $at)",
            ("$id", id),
            ("$number", number),
            ("$kind", kind.ToString().ToLowerInvariant()),
            ("$title", title),
            ("$shows", shows),
            ("$parent", parent),
            ("$document", setup is null ? null : CanonicalJson.Write(setup)),
            ("$at", Now())
        );

    private string Now() => clock.GetUtcNow().ToString("yyyy-MM-dd'T'HH:mm:ss.fff'Z'", CultureInfo.InvariantCulture);

    private static DateTimeOffset Time(string text) =>
        DateTimeOffset.Parse(text, CultureInfo.InvariantCulture, DateTimeStyles.AssumeUniversal);

    private static RevisionKind Kind(string text) => Enum.Parse<RevisionKind>(text, ignoreCase: true);

    private SetupReading Parse(string id, string document)
    {
        if (parsed.TryGetValue(id, out var known) && known.Text == document)
            return known.Reading;
        var reading = SetupJson.Read(Encoding.UTF8.GetBytes(document));
        parsed[id] = (document, reading);
        return reading;
    }

    private static Setup Setup(string id, SetupReading reading) =>
        reading.Setup ?? throw new UnreadableException(id, Reason(reading));

    private static string Reason(SetupReading reading) => StoredJson.Told(reading.Problems[0]);

    private static List<string> Ids(SqliteConnection connection) =>
        Rows.Read(connection, "SELECT id FROM setups ORDER BY id", row => row.GetString(0));

    private static string NewId(SqliteConnection connection, string name) =>
        FreeId.Of(Slug(name), Ids(connection).ToHashSet(StringComparer.Ordinal).Contains);

    private static string Slug(string name)
    {
        var slug = new StringBuilder();
        foreach (var letter in name.ToLowerInvariant())
        {
            if (char.IsAsciiLetterOrDigit(letter))
                slug.Append(letter);
            else if (slug.Length > 0 && slug[^1] != '-')
                slug.Append('-');
        }

        var text = slug.ToString().Trim('-');
        return text.Length > 0 ? text : "craft";
    }

    private static void Write(SqliteConnection connection, string sql, params (string Name, object? Value)[] values)
    {
        using var command = Rows.Command(connection, sql, values);
        command.ExecuteNonQuery();
    }
}
