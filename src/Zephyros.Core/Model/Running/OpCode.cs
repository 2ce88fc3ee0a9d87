namespace Zephyros.Core.Model.Running;

/// <summary>What one operation of a compiled model does. The operations of chains work on the passing value; those of conditions
/// write 0 or 1 into a register, and stand after them: <see cref="Below"/> is the first.</summary>
internal enum OpCode : byte
{
    /// <summary>A chain starts at slot C: the passing value becomes register A x P + Q.</summary>
    Take,

    /// <summary>The passing value becomes register A x P + Q.</summary>
    Replace,

    /// <summary>The passing value is multiplied by P, then Q is added.</summary>
    Linear,

    /// <summary>Register A x P + Q is added.</summary>
    Add,

    /// <summary>The passing value is multiplied by register A x P + Q.</summary>
    Multiply,

    /// <summary>Curve A shapes the passing value.</summary>
    Curve,

    /// <summary>The passing value follows at no more than P up and Q down a millisecond; cell A remembers it.</summary>
    Slow,

    /// <summary>The passing value is held between P and Q.</summary>
    Limit,

    /// <summary>Table A gives the value of the state in register B.</summary>
    State,

    /// <summary>The passing value goes into register A.</summary>
    KeepChain,

    /// <summary>Register A x P + Q lies below 0; into register B.</summary>
    Below,

    /// <summary>Register A x P + Q lies above 0; into register B.</summary>
    Above,

    /// <summary>Register A lies above P and up to Q; into register B.</summary>
    Within,

    /// <summary>Register A compares (below 0: P = -1, above: P = 1) with Q while telemetry arrives; into register B.</summary>
    Sensor,

    /// <summary>Telemetry is lost; into register B.</summary>
    Lost,

    /// <summary>Registers A to A + C - 1 are all 1; into register B.</summary>
    All,

    /// <summary>One of registers A to A + C - 1 is 1; into register B.</summary>
    Any,

    /// <summary>Registers A to A + C - 1 are all 0; into register B.</summary>
    None,

    /// <summary>Register A is copied into register B.</summary>
    Copy,

    /// <summary>Register A is the state P; into register B.</summary>
    IsState,

    /// <summary>A latch in register B, set by register A, cleared by register C.</summary>
    Latch,

    /// <summary>Register B follows register A after P milliseconds upwards and Q downwards; cell C is its clock.</summary>
    Delay,

    /// <summary>Register A is a button held for at least P and let go before Q milliseconds; cells C and C + 1 remember it; into register B.</summary>
    Press,

    /// <summary>The first state of list A whose register is 1; its number into register B.</summary>
    ChooseState,
}
