using System.Runtime.CompilerServices;

namespace Zephyros.Core.Proof.Tables;

/// <summary>A long row of values of which few may ever be asked for: it is made a page at a time.</summary>
/// <param name="length">How many values there are.</param>
/// <param name="meter">Is told what it takes.</param>
internal sealed class Pages<T>(int length, ByteMeter meter)
{
    private const int Size = 64;

    private readonly T[]?[] pages = Counted(new T[(length + Size - 1) / Size][], meter);

    /// <summary>A value; its page is made when there is none yet.</summary>
    public ref T At(int index)
    {
        var page = pages[index / Size];
        if (page is null)
        {
            pages[index / Size] = page = new T[Math.Min(Size, length - (index / Size * Size))];
            meter.Bytes += (long)Unsafe.SizeOf<T>() * page.Length;
        }

        return ref page[index % Size];
    }

    /// <summary>A value, or nothing while its page is not made.</summary>
    public T? Peek(int index) => pages[index / Size] is { } page ? page[index % Size] : default;

    /// <summary>The first place from here on, this one too, whose page is made; the length when there is none.</summary>
    public int Made(int index)
    {
        while (index < length && pages[index / Size] is null)
            index = ((index / Size) + 1) * Size;
        return Math.Min(index, length);
    }

    private static T[]?[] Counted(T[]?[] made, ByteMeter meter)
    {
        meter.Bytes += 40 + (8L * made.Length);
        return made;
    }
}
