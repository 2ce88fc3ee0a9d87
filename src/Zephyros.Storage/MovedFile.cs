using System.Runtime.InteropServices;
using Microsoft.Data.Sqlite;
using SQLitePCL;

namespace Zephyros.Storage;

/// <summary>Tells whether the file of a connection still lies where it was opened. A program may go on writing into a file that was
/// deleted, and nothing fails.</summary>
internal static class MovedFile
{
    // SQLITE_FCNTL_HAS_MOVED, as SQLite's documentation of file controls has it; the package has no name for it.
    private const int HasMoved = 20;

    /// <summary>True when the file was moved, deleted or replaced, and for a connection that has no file.</summary>
    public static bool IsBehind(SqliteConnection connection) =>
        Control(connection.Handle!, "main", HasMoved, out var moved) != raw.SQLITE_OK || moved != 0;

    [DllImport("e_sqlite3", EntryPoint = "sqlite3_file_control")]
    [DefaultDllImportSearchPaths(DllImportSearchPath.AssemblyDirectory)]
    private static extern int Control(
        sqlite3 database,
        [MarshalAs(UnmanagedType.LPUTF8Str)] string name,
        int what,
        out int answer
    );
}
