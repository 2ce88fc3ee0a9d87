namespace Zephyros.Core.Model.Running;

/// <summary>What a running model remembers from one evaluation to the next: latches, delays, presses and slow steps. Made by
/// <see cref="ModelPlan.PowerOn"/>; one for each runner.</summary>
public sealed class ModelMemory
{
    internal ModelMemory(int registers, int cells, int channels)
    {
        Registers = new double[registers];
        Cells = new double[cells];
        Forced = new int[channels];
        Array.Fill(Cells, double.NaN);
        Array.Fill(Forced, -1);
    }

    /// <summary>True when the passing of time alone would change something: a slow step is under way, a delay or a press runs.</summary>
    public bool Restless { get; internal set; }

    /// <summary>How long until something of that ends, in milliseconds, as far as nothing comes in; 0 while a slow step is under way.</summary>
    internal double Ends { get; set; } = double.PositiveInfinity;

    internal double[] Registers { get; }

    internal double[] Cells { get; }

    internal int[] Forced { get; }

    internal bool IsLike(ModelMemory other) =>
        (Registers.Length, Cells.Length, Forced.Length)
        == (other.Registers.Length, other.Cells.Length, other.Forced.Length);

    internal void TakeOver(ModelMemory other)
    {
        other.Registers.CopyTo(Registers, 0);
        other.Cells.CopyTo(Cells, 0);
        (Restless, Ends) = (other.Restless, other.Ends);
    }

    /// <summary>Remembers all of what another one of the same model does, what holds now included.</summary>
    internal void Become(ModelMemory other)
    {
        TakeOver(other);
        other.Forced.CopyTo(Forced, 0);
    }
}
