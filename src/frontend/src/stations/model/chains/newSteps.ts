import type { ChainStep, Operand } from '../../../api/types';

const operand: Operand = { take: { kind: 'constant', value: 0 }, scale: 100, shift: 0 };
const even = [-100, -50, 0, 50, 100].map((x) => ({ x, y: x }));

/** The kinds of steps, what each does in a few words, and what a new one is. */
export const NEW_STEPS: { kind: string; name: string; does: string; step: ChainStep }[] = [
  {
    kind: 'scale',
    name: 'Scale and shift',
    does: 'multiply by a percentage, then add',
    step: { kind: 'scale', order: 0, scale: 100, shift: 0 },
  },
  {
    kind: 'curve',
    name: 'Curve',
    does: 'shape through 3 to 17 points',
    step: { kind: 'curve', order: 0, points: even, smooth: false },
  },
  { kind: 'add', name: 'Add', does: 'add another value', step: { kind: 'add', order: 0, with: operand } },
  {
    kind: 'multiply',
    name: 'Multiply',
    does: 'take a share, set by another value',
    step: { kind: 'multiply', order: 0, with: { ...operand, shift: 100 } },
  },
  {
    kind: 'switch-over',
    name: 'Switch over',
    does: 'another value instead, while a condition holds',
    step: { kind: 'switch-over', order: 0, with: operand },
  },
  { kind: 'slow', name: 'Slow', does: 'change only so fast', step: { kind: 'slow', order: 0, up: 200, down: 200 } },
  {
    kind: 'limit',
    name: 'Limit',
    does: 'hold between two values',
    step: { kind: 'limit', order: 0, low: -100, high: 100 },
  },
  {
    kind: 'state',
    name: 'Value of the flight state',
    does: 'one value for each state',
    step: { kind: 'state', order: 0, values: {} },
  },
];
