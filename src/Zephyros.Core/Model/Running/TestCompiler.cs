using Zephyros.Core.Model.Logic;

namespace Zephyros.Core.Model.Running;

/// <summary>Turns the test of a condition into operations that leave 0 or 1 in a register.</summary>
internal sealed class TestCompiler(PlanCompiler plan)
{
    private PlanLayout Layout => plan.Layout;

    public void Compile(Test test, int target)
    {
        switch (test)
        {
            case PositionTest position:
                Position(position, target);
                break;
            case CompareTest compare:
                var (a, p, q) = plan.Source(compare.Value, 1, -compare.Limit.Value);
                Add(new Op(compare.Relation == Relation.Below ? OpCode.Below : OpCode.Above, a, target, P: p, Q: q));
                break;
            case SensorTest sensor:
                var side = sensor.Relation == Relation.Below ? -1 : 1;
                Add(
                    new Op(OpCode.Sensor, Layout.SensorRegister(sensor.Sensor), target, P: side, Q: sensor.Limit.Value)
                );
                break;
            case TelemetryLostTest:
                Add(new Op(OpCode.Lost, B: target));
                break;
            case HoldsTest holds:
                Add(new Op(OpCode.Copy, Layout.ConditionRegister(holds.Condition), target));
                break;
            case StateTest state:
                Add(new Op(OpCode.IsState, Layout.StateRegister, target, P: Layout.StateNumber(state.State)));
                break;
            case PressTest press:
                Add(
                    new Op(
                        OpCode.Press,
                        Layout.ControlIndex(press.Control),
                        target,
                        Layout.Cells(2),
                        press.AtLeast.Value,
                        press.Before?.Value ?? double.PositiveInfinity
                    )
                );
                break;
            default:
                Combine(test, target);
                break;
        }
    }

    private void Position(PositionTest test, int target)
    {
        var runs = PositionRuns.Of(plan.Control(test.Control), test.Positions);
        var first = runs.Count == 1 ? target : Layout.Registers(runs.Count);
        for (var i = 0; i < runs.Count; i++)
            Add(new Op(OpCode.Within, Layout.ControlIndex(test.Control), first + i, P: runs[i].Above, Q: runs[i].UpTo));
        if (runs.Count != 1)
            Add(new Op(OpCode.Any, first, target, runs.Count));
    }

    private void Combine(Test test, int target)
    {
        switch (test)
        {
            case AllTest:
                Group(OpCode.All, test.Parts, target);
                break;
            case AnyTest:
                Group(OpCode.Any, test.Parts, target);
                break;
            case NotTest:
                Group(OpCode.None, test.Parts, target);
                break;
            case LatchTest latch:
                var (set, clear) = (Layout.Registers(1), Layout.Registers(1));
                Group(OpCode.All, latch.Set, set);
                Group(OpCode.Any, latch.Clear, clear);
                Add(new Op(OpCode.Latch, set, target, clear));
                break;
            case DelayTest delay:
                var followed = Layout.Registers(1);
                Group(OpCode.All, delay.Of, followed);
                var (on, off) = (delay.OnAfter.Value, delay.OffAfter.Value);
                Add(new Op(OpCode.Delay, followed, target, Layout.Cells(1), on, off));
                break;
        }
    }

    // The parts get registers side by side, so that one operation looks at all of them.
    private void Group(OpCode code, IReadOnlyList<Test> parts, int target)
    {
        if (parts.Count == 1 && code != OpCode.None)
        {
            Compile(parts[0], target);
            return;
        }

        var first = Layout.Registers(parts.Count);
        for (var i = 0; i < parts.Count; i++)
            Compile(parts[i], first + i);
        Add(new Op(code, first, target, parts.Count));
    }

    private void Add(Op op) => plan.Program.Add(op);
}
