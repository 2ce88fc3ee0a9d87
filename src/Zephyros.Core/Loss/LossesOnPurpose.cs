using Zephyros.Core.Bench;
using Zephyros.Core.Board;
using Zephyros.Core.Setups;
using Zephyros.Core.Units;

namespace Zephyros.Core.Loss;

/// <summary>Tries every position that is to run the loss procedure on purpose, and puts it beside the real loss.</summary>
internal static class LossesOnPurpose
{
    // So long a position is waited for, and so long is looked at what comes of taking it back.
    private static readonly TimeSpan Wait = TimeSpan.FromSeconds(1);

    /// <summary>Those of a setup, by the function's id.</summary>
    /// <param name="setup">The setup.</param>
    /// <param name="armed">The bench before the loss; it stays as it is.</param>
    /// <param name="real">The real loss, played from it.</param>
    public static IReadOnlyList<LossOnPurpose> Of(Setup setup, BenchRun armed, LossRun real) =>
        [
            .. setup
                .Board.Functions.Where(f => f.Value.Kind == FunctionKind.LossProcedure)
                .OrderBy(f => f.Key, StringComparer.Ordinal)
                .Select(f => Beside(setup, f.Value, armed, real)),
        ];

    private static LossOnPurpose Beside(Setup setup, BoardFunction function, BenchRun armed, LossRun real)
    {
        if (Begun(setup, function, armed) is not var (bench, back))
            return new(
                function.Label,
                false,
                ["No position of its control that was tried sets it off while the craft is armed."]
            );
        var own = Does(bench.Board)!;
        var begins = real.States.Select(s => (s.After, Does: Does(s.State))).FirstOrDefault(s => s.Does is not null);
        if (begins.Does is not { } lost)
            return new(
                function.Label,
                false,
                [$"On purpose it {own}; on a real loss the board does nothing, for the receiver goes on sending."]
            );
        var words = new List<string>
        {
            $"It {own} at once; a real loss begins that {new Milliseconds(begins.After.TotalMilliseconds).Words} after the last packet.",
        };
        var same = own == lost;
        if (!same)
            words[0] = $"On purpose it {own}, on a real loss it {lost}.";
        // Both are taken back: the control to where it stood, and the signal comes again.
        bench.Move(function.Control, back);
        bench.AdvanceTo(bench.Now + Wait);
        var found = real.At(begins.After);
        found.SetTelemetry(true);
        found.SetLink(true);
        found.AdvanceTo(found.Now + Wait);
        var (after, afterLoss) = (After(bench.Board), After(found.Board));
        if (after == afterLoss)
            words.Add($"Taken back, {after}, as after a real loss.");
        else
            words.Add($"Taken back, {after}; after a real loss {afterLoss}.");
        return new(function.Label, same && after == afterLoss, words);
    }

    // The first position of its control that begins it, and where the control stood before.
    private static (BenchRun Bench, double Back)? Begun(Setup setup, BoardFunction function, BenchRun armed)
    {
        if (!setup.Transmitter.Controls.TryGetValue(function.Control, out var control))
            return null;
        var back = armed.SettingOf(function.Control);
        foreach (var setting in control.NamedPositions.Select(p => p.Setting).Where(s => s != back))
        {
            var bench = armed.Fork();
            bench.Move(function.Control, setting);
            for (var until = bench.Now + Wait; bench.Now < until && Does(bench.Board) is null; )
                bench.AdvanceTo(bench.NextAt);
            if (Does(bench.Board) is not null)
                return (bench, back);
        }

        return null;
    }

    // Null while it flies as the pilot does.
    private static string? Does(BoardState board) =>
        board.Signal switch
        {
            BoardSignal.Landing => "lands",
            BoardSignal.Returning => "flies home",
            BoardSignal.None or BoardSignal.Good or BoardSignal.Grace => board.Armed ? null : "stops the motors",
        };

    private static string After(BoardState board) =>
        board switch
        {
            { Signal: BoardSignal.Landing or BoardSignal.Returning } => "it goes on by itself until a stick is moved",
            { Armed: true } => "the pilot has it again at once",
            { Standing: ArmRefusal.None } => "it is disarmed",
            _ => "it stays off until the arm switch was off and on again",
        };
}
