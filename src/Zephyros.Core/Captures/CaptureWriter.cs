using System.Globalization;
using System.Text;

namespace Zephyros.Core.Captures;

/// <summary>Writes a recording as a value change dump (IEEE Std 1364) or as a list of levels (RFC 4180).</summary>
public static class CaptureWriter
{
    /// <summary>A value change dump with a time scale of 1 ns.</summary>
    public static string ToVcd(LineCapture capture)
    {
        var text = new StringBuilder();
        text.Append("$version Zephyros $end\n$timescale 1 ns $end\n$scope module receiver $end\n");
        text.Append(CultureInfo.InvariantCulture, $"$var wire 1 ! {capture.Name} $end\n");
        text.Append("$upscope $end\n$enddefinitions $end\n");
        text.Append(CultureInfo.InvariantCulture, $"#0\n{Digit(capture.StartsHigh)}!\n");
        for (var i = 0; i < capture.Changes.Length; i++)
            text.Append(CultureInfo.InvariantCulture, $"#{capture.Changes[i]}\n{Digit(capture.LevelBefore(i + 1))}!\n");
        return text.Append(CultureInfo.InvariantCulture, $"#{capture.End}\n").ToString();
    }

    /// <summary>A list of levels, times in microseconds.</summary>
    public static string ToCsv(LineCapture capture)
    {
        var text = new StringBuilder("time (us),level\r\n");
        void Line(long at, bool high) => text.Append(CultureInfo.InvariantCulture, $"{at / 1000m},{Digit(high)}\r\n");
        Line(0, capture.StartsHigh);
        for (var i = 0; i < capture.Changes.Length; i++)
            Line(capture.Changes[i], capture.LevelBefore(i + 1));
        Line(capture.End, capture.LevelBefore(capture.Changes.Length));
        return text.ToString();
    }

    private static char Digit(bool high) => high ? '1' : '0';
}
