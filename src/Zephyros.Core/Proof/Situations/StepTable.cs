using Zephyros.Core.Proof.Promises;

namespace Zephyros.Core.Proof.Situations;

/// <summary>What follows when one thing happens in one situation, as far as it was worked out.</summary>
internal sealed class StepTable(int situation, Happening happening)
{
    /// <summary>Not worked out yet.</summary>
    public const int Unknown = int.MinValue;

    private int[] after = [];

    /// <summary>The bytes that it takes, about.</summary>
    public long Bytes => 100 + (4L * after.Length);

    public int Situation => situation;

    public Happening Happening => happening;

    /// <summary>The number of the situation after it, <see cref="Watch.Broken"/>, or <see cref="Unknown"/>.</summary>
    /// <param name="reading">The number of what the board can then read.</param>
    public int After(int reading) => (uint)reading < (uint)after.Length ? after[reading] : Unknown;

    /// <summary>Keeps what was worked out.</summary>
    public void Learn(int reading, int number)
    {
        if (reading >= after.Length)
        {
            var longer = new int[Math.Max(2 * after.Length, reading + 1)];
            Array.Fill(longer, Unknown);
            after.CopyTo(longer, 0);
            after = longer;
        }

        after[reading] = number;
    }
}
