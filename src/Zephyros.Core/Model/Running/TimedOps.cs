namespace Zephyros.Core.Model.Running;

/// <summary>The operations that need to know how much time has passed. Their cells are NaN until they first run.</summary>
internal static class TimedOps
{
    /// <summary>Follows the value at a limited speed. The first value, and any value when all time has passed, is reached at once.</summary>
    public static double Slow(in Op op, double value, double passed, ModelMemory memory)
    {
        var last = memory.Cells[op.A];
        if (double.IsNaN(last) || last == value)
            return memory.Cells[op.A] = value;
        var speed = value > last ? op.P : op.Q;
        var step = speed * passed;
        if (speed == 0 || step >= Math.Abs(value - last))
            return memory.Cells[op.A] = value;
        Waits(memory, 0);
        return memory.Cells[op.A] = last + (value > last ? step : -step);
    }

    /// <summary>Follows a register after it has stayed the same for long enough.</summary>
    public static double Delay(in Op op, double passed, ModelMemory memory)
    {
        var (input, held) = (memory.Registers[op.A], memory.Registers[op.B]);
        ref var clock = ref memory.Cells[op.C];
        if (input == held)
        {
            clock = double.NaN;
            return held;
        }

        // The clock starts with the change: what passed before it does not count, unless all time has passed.
        clock = double.IsNaN(clock) && passed < ModelPlanClock.Settling ? 0 : NotNaN(clock) + passed;
        var length = input != 0 ? op.P : op.Q;
        if (clock >= length)
        {
            clock = double.NaN;
            return input;
        }

        Waits(memory, length - clock);
        return held;
    }

    /// <summary>Tells the press of a button by its length. Cells: how long it is held (NaN while it is not), and how much is left of
    /// a press that was let go in time.</summary>
    public static double Press(in Op op, double passed, ModelMemory memory)
    {
        var down = memory.Registers[op.A] > 0;
        ref var held = ref memory.Cells[op.C];
        ref var left = ref memory.Cells[op.C + 1];
        var whileHeld = double.IsPositiveInfinity(op.Q);
        if (down)
        {
            held = double.IsNaN(held) && passed < ModelPlanClock.Settling ? 0 : NotNaN(held) + passed;
            left = double.NaN;
            var longEnough = held >= op.P;
            var length = whileHeld ? op.P : op.Q;
            if (held < length)
                Waits(memory, length - held);
            return whileHeld && longEnough ? 1 : 0;
        }

        if (!double.IsNaN(held))
        {
            // The button went up in this step; it was held until now at the latest.
            var length = held + passed;
            held = double.NaN;
            if (!whileHeld && length >= op.P && length < op.Q)
                left = Logic.PressTest.PulseLength.Value;
        }
        else if (!double.IsNaN(left))
        {
            left = left > passed ? left - passed : double.NaN;
        }

        if (double.IsNaN(left))
            return 0;
        Waits(memory, left);
        return 1;
    }

    private static void Waits(ModelMemory memory, double time) =>
        (memory.Restless, memory.Ends) = (true, Math.Min(memory.Ends, time));

    private static double NotNaN(double value) => double.IsNaN(value) ? 0 : value;
}
