using System.Globalization;
using System.Text;
using Zephyros.Core.Proof.Promises;
using Zephyros.Core.Proof.Reduced;
using Zephyros.Core.Proof.Search;
using Zephyros.Core.Proof.Situations;

namespace Zephyros.Core.Proof.Export;

/// <summary>Puts one explored system into Promela text.</summary>
internal sealed class PromelaWriter(
    Promise promise,
    PromiseCheck check,
    ReducedModel model,
    Explorer explorer,
    IReadOnlyList<(int Input, int Cell)> wanted
)
{
    private const int BitsOfWord = 64;
    private const int Piece = 4000;

    private readonly StringBuilder text = new();
    private readonly List<Happening> happenings = [];
    private int most = 1;

    public string Text()
    {
        Heading();
        Rows();
        Steps();
        Order();
        Line("c_decl {");
        Functions();
        Line("}");
        Moves();
        return text.ToString();
    }

    private void Line(string line) => text.Append(line).Append('\n');

    // A list of numbers, read through a function of that name. The checker takes only so much text in one block.
    private void Numbers(string name, IEnumerable<int> numbers)
    {
        var pieces = 0;
        foreach (var piece in numbers.DefaultIfEmpty(0).Chunk(Piece))
        {
            Line("c_decl {");
            Line($"static const int {name}_{pieces++}[] = {{");
            foreach (var line in piece.Chunk(24))
                Line("  " + string.Join(", ", line.Select(n => n.ToString(CultureInfo.InvariantCulture))) + ",");
            Line("};");
            Line("}");
        }

        Line("c_decl {");
        Line(
            $"static const int *const {name}_pieces[] = {{ {string.Join(", ", Enumerable.Range(0, pieces).Select(i => $"{name}_{i}"))} }};"
        );
        Line($"static int {name}(int i) {{ return {name}_pieces[i / {Piece}][i % {Piece}]; }}");
        Line("}");
    }

    private void Heading()
    {
        Line($"/* {promise.Code}: {promise.Title}");
        if (check.About.Length > 0)
            Line($"   {check.About}");
        Line("   A simulated setup, reduced to what can make a difference. Inputs and their cells:");
        for (var i = 0; i < model.Scope.Inputs.Count; i++)
        {
            var input = model.Scope.Inputs[i];
            var cells = input.Cells.Select(
                (c, n) =>
                    $"{n} = {string.Join(" or ", c.Stretches.Select(s => s.From == s.UpTo ? Figure(s.From) : $"{Figure(s.From)}..{Figure(s.UpTo)}"))}"
            );
            Line($"   in{i}: {Plain(input.Name)}: {string.Join("; ", cells)}");
        }

        Line("   mem: what the model remembers; sit: receiver, board, surroundings and what the promise remembers.");
        Line(
            "   Check it with: spin -o2 -o3 -a file.pml && gcc -O2 -DSAFETY -DNOREDUCE -DBFS -o pan pan.c && ./pan -E"
        );
        Line("*/");
    }

    private static string Figure(double value) => value.ToString("0.###", CultureInfo.InvariantCulture);

    // A name must not end the comment that it stands in.
    private static string Plain(string name) => name.Replace("*/", "* /", StringComparison.Ordinal).Replace('\n', ' ');

    // For every memory, and every part whose time may come to its end: the outcomes at each position.
    private void Rows()
    {
        var tables = model.Tables.OrderBy(t => (t.Memory, t.Cause.Ending, t.Cause.Stir)).ToArray();
        var outcomes = new List<ModelOutcome>();
        var numbers = new Dictionary<ModelOutcome, int>();
        var first = new List<int>();
        var list = new List<int>();
        var places = model.Grid.Words * BitsOfWord;
        foreach (var table in tables)
        {
            for (var place = 0; place < places; place++)
            {
                first.Add(list.Count);
                foreach (var row in table.Known(place / BitsOfWord) ?? [])
                    if ((row.Positions >> (place % BitsOfWord) & 1) != 0)
                    {
                        if (!numbers.TryGetValue(row.Outcome, out var number))
                        {
                            numbers.Add(row.Outcome, number = outcomes.Count);
                            outcomes.Add(row.Outcome);
                        }

                        list.Add(number);
                    }

                most = Math.Max(most, list.Count - first[^1]);
            }
        }

        first.Add(list.Count);
        var memories = model.Memory.Count;
        var which = new int[model.Causes.Count * memories];
        Array.Fill(which, -1);
        for (var t = 0; t < tables.Length; t++)
            which[(PlaceOf(tables[t].Cause) * memories) + tables[t].Memory] = t;
        Line($"c_decl {{ enum {{ MEMORIES = {memories}, PLACES = {places}, READINGS = {model.Readings.Count} }}; }}");
        Numbers("table", which);
        Numbers("first", first);
        Numbers("list", list);
        Numbers("out_mem", outcomes.Select(o => o.Memory));
        Numbers("out_read", outcomes.Select(o => o.Reading));
    }

    // The place of a cause among those for which rows were worked out; the first is that the transmitter is switched on.
    private int PlaceOf(RowCause cause) => model.Causes.ToList().IndexOf(cause);

    // For every happening and situation: the situation after it by reading; -1 broken, -2 never asked.
    private void Steps()
    {
        var system = explorer.System;
        var count = system.Situations.Count;
        var places = new Dictionary<Happening, int>();
        var starts = new List<int>();
        var after = new List<int>();
        foreach (
            var table in system
                .Tables.OrderBy(t => t.Happening.Kind)
                .ThenBy(t => t.Happening.Value)
                .ThenBy(t => (int)t.Happening.Roles)
                .ThenBy(t => t.Situation)
        )
        {
            if (!places.TryGetValue(table.Happening, out var place))
            {
                places.Add(table.Happening, place = happenings.Count);
                happenings.Add(table.Happening);
                starts.AddRange(Enumerable.Repeat(-1, count));
            }

            starts[(place * count) + table.Situation] = after.Count;
            for (var reading = 0; reading < model.Readings.Count; reading++)
                after.Add(table.After(reading) is StepTable.Unknown ? -2 : table.After(reading));
        }

        Line($"c_decl {{ enum {{ SITUATIONS = {count} }}; }}");
        Numbers("start", starts);
        Numbers("after", after);
        Numbers("comes", system.Situations.Select(s => TelemetryMoves.Arrives(s) ? 1 : 0));
        Numbers("off", system.Situations.Select(s => s.Radio == RadioState.Off ? 1 : 0));
    }

    // Where the board's times fall in the order of the model's waits, and what the lengths then do not let happen.
    private void Order()
    {
        var (system, memories) = (explorer.System, model.Memory.Count);
        int Key(int one, int two, int three, int size) => (((one * size) + two) * memories) + three;
        var ordered = system
            .Orders.Select(o => (Key: Key(o.Situation, o.Before, o.After, memories), o.To))
            .OrderBy(o => o.Key)
            .ToArray();
        Sorted("order", [.. ordered.Select(o => o.Key)]);
        Numbers("order_to", ordered.Select(o => o.To));
        var (timers, ends) = (new SortedSet<int>(), new SortedSet<int>());
        foreach (var (memory, situation) in explorer.Pairs)
        {
            foreach (var happening in system.Happenings(situation))
                if (!system.MayHappen(situation, happening, memory))
                    timers.Add(Key(happening.Value, situation, memory, system.Situations.Count));
            foreach (var ending in model.Memory.Endings(memory))
                if (!system.MayEnd(situation, ending, memory))
                    ends.Add(Key(model.Memory.EndingNumber(ending), situation, memory, system.Situations.Count));
        }

        Sorted("late_timer", [.. timers]);
        Sorted("late_end", [.. ends]);
    }

    // Ascending numbers, and a function that gives the place of one among them, -1 for none.
    private void Sorted(string name, IReadOnlyCollection<int> numbers)
    {
        Numbers(name, numbers);
        Line("c_decl {");
        Line($"static int {name}_place(int key) {{");
        Line($"  int low = 0, high = {numbers.Count} - 1;");
        Line(
            $"  while (low <= high) {{ int mid = (low + high) / 2, is = {name}(mid); if (is == key) return mid; if (is < key) low = mid + 1; else high = mid - 1; }}"
        );
        Line("  return -1;");
        Line("}");
        Line("}");
    }

    private void Functions()
    {
        var inputs = model.Scope.Inputs.Count;
        Line($"static int in[{Math.Max(1, inputs)}];");
        var names = Enumerable.Range(0, Math.Max(1, inputs)).ToArray();
        Line(
            $"static int load({string.Join(", ", names.Select(i => $"int v{i}"))}) {{ {string.Concat(names.Select(i => $"in[{i}] = v{i}; "))}return 1; }}"
        );
        Line(
            "static int place(void) { return 0"
                + string.Concat(Enumerable.Range(0, inputs).Select(i => $" + in[{i}] * {Stride(i)}"))
                + "; }"
        );
        Line("static int outcome(int cause, int mem, int k) {");
        Line("  int t = cause < 0 ? -1 : table(cause * MEMORIES + mem), p;");
        Line("  if (t < 0) return -1;");
        Line("  p = t * PLACES + place();");
        Line("  return first(p) + k < first(p + 1) ? list(first(p) + k) : -1;");
        Line("}");
        Line("static int next_mem, next_sit;");
        Line("static int in_order(int sit, int before, int after) {");
        Line("  int i = sit < 0 ? -1 : order_place((sit * MEMORIES + before) * MEMORIES + after);");
        Line("  return i < 0 ? sit : order_to(i);");
        Line("}");
        Line("static int late(int i) { return i >= 0; }");
        Line("static int step(int h, int cause, int mem, int sit, int k, int on, int forgets) {");
        Line("  int s = start(h * SITUATIONS + sit), o;");
        Line("  if (s < 0) return 0;");
        Line("  if (!on) { next_mem = 0; next_sit = in_order(after(s), mem, 0); return k == 0; }");
        Line("  o = outcome(cause, mem, k);");
        Line("  if (o < 0) return 0;");
        Line(
            "  next_mem = forgets ? 0 : out_mem(o); next_sit = in_order(after(s + out_read(o)), mem, next_mem); return 1;"
        );
        Line("}");
    }

    private int Stride(int input)
    {
        var (word, bit) = model.Grid.With(input, 1, 0, 0);
        return (word * BitsOfWord) + bit;
    }

    private void Moves()
    {
        var inputs = model.Scope.Inputs;
        for (var i = 0; i < inputs.Count; i++)
            Line($"byte in{i};");
        Line("int mem; int sit;");
        Line("active proctype setup() {");
        for (var i = 0; i < inputs.Count; i++)
        {
            var cells = wanted.Where(w => w.Input == i).Select(w => w.Cell).DefaultIfEmpty(-1).First();
            var choices = Enumerable.Range(0, inputs[i].Cells.Count).Where(c => cells < 0 || c == cells);
            Line("  if " + string.Join(" ", choices.Select(c => $":: in{i} = {c}")) + " fi;");
        }

        Line("  if");
        var load = Load(-1, 0);
        for (var k = 0; k < most; k++)
            Line(
                $"  :: d_step {{ c_expr {{ ({load} && outcome(0, 0, {k}) >= 0) }} -> c_code {{ {load}; now.mem = out_mem(outcome(0, 0, {k})); now.sit = 0; }} }}"
            );
        Line("  fi;");
        Line("  do");
        foreach (var (roles, stir, moves) in explorer.Groups)
        {
            var h = happenings.IndexOf(new Happening(MoveKind.Input, Roles: roles));
            if (h < 0)
                continue;
            foreach (var move in moves)
                for (var k = 0; k < most; k++)
                    Movement(h, move[0].Input, move[0].Cell, PlaceOf(new(0, stir)), k);
        }

        for (var h = 0; h < happenings.Count; h++)
            if (happenings[h].Kind != MoveKind.Input)
                Other(h);
        Line("  od");
        Line("}");
    }

    // Puts all inputs where they stand, one of them in a cell of its own; an expression that is always true.
    private string Load(int input, int cell) =>
        "load("
        + string.Join(
            ", ",
            Enumerable
                .Range(0, model.Scope.Inputs.Count)
                .Select(i => i == input ? cell.ToString(CultureInfo.InvariantCulture) : $"now.in{i}")
                .DefaultIfEmpty("0")
        )
        + ")";

    private void Movement(int h, int input, int cell, int cause, int k)
    {
        var load = Load(input, cell);
        var step = $"step({h}, {cause}, now.mem, now.sit, {k}, !off(now.sit), 0)";
        var elsewhere = model.Grid.Moves(input, cell, cell) ? "1" : $"now.in{input} != {cell}";
        if (input == model.Scope.TelemetryInput && cell != ProofScope.TelemetryLost)
            elsewhere += " && comes(now.sit)";
        Line(
            $"  :: d_step {{ c_expr {{ ({elsewhere} && ({load} && {step})) }} -> c_code {{ {load}; {step}; now.in{input} = {cell}; now.mem = next_mem; now.sit = next_sit; }}; assert(sit >= 0) }}"
        );
    }

    private void Other(int h)
    {
        var happening = happenings[h];
        var telemetry = explorer.System.Telemetry.After(happening) is { } put
            ? (Input: model.Scope.TelemetryInput, Cell: put)
            : (Input: -1, Cell: 0);
        var load = Load(telemetry.Input, telemetry.Cell);
        var also = telemetry.Input < 0 ? "" : $" now.in{telemetry.Input} = {telemetry.Cell};";
        var forgets = happening.Kind == MoveKind.TransmitterOff ? 1 : 0;
        var memory = happening.Kind == MoveKind.TransmitterOn ? "0" : "now.mem";
        var on = happening.Kind == MoveKind.TransmitterOn ? "1" : "!off(now.sit)";
        var sets = model.Memory.EndingSets;
        var slow = happening.Kind == MoveKind.SlowStep;
        var parts =
            slow || happening.Kind == MoveKind.ModelTime
                ? Enumerable.Range(0, sets.Count).Where(i => model.Memory.Slow.Contains(sets[i]) == slow)
                : [-1];
        foreach (var part in parts)
            for (var k = 0; k < most; k++)
            {
                var cause = PlaceOf(
                    part >= 0 ? new(sets[part], model.Open.ByParts(sets[part])) : explorer.System.CauseOf(happening)
                );
                var step = $"step({h}, {cause}, {memory}, now.sit, {k}, {on}, {forgets})";
                var guard = part >= 0 ? "!off(now.sit) && " : "";
                var key = "* SITUATIONS + now.sit) * MEMORIES + now.mem";
                if (happening.Kind == MoveKind.BoardTime)
                    guard += $"!late(late_timer_place(({happening.Value} {key})) && ";
                if (happening.Kind == MoveKind.ModelTime)
                    guard += $"!late(late_end_place(({part} {key})) && ";
                Line($"  /* {happening.Kind} {happening.Value} */");
                Line(
                    $"  :: d_step {{ c_expr {{ ({guard}({load} && {step})) }} -> c_code {{ {load}; {step};{also} now.mem = next_mem; now.sit = next_sit; }}; assert(sit >= 0) }}"
                );
            }
    }
}
