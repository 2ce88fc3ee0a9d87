namespace Zephyros.Web.Captures;

/// <summary>A file for what is uploaded: its owner alone may read it, and it goes away when it is closed.</summary>
internal static class UploadFile
{
    /// <summary>Makes and opens one, empty.</summary>
    public static FileStream Open()
    {
        var options = new FileStreamOptions
        {
            Mode = FileMode.CreateNew,
            Access = FileAccess.ReadWrite,
            Options = FileOptions.DeleteOnClose,
            BufferSize = 64 * 1024,
        };
        if (!OperatingSystem.IsWindows())
            options.UnixCreateMode = UnixFileMode.UserRead | UnixFileMode.UserWrite;
        return new FileStream(Path.Combine(Path.GetTempPath(), Path.GetRandomFileName()), options);
    }
}
