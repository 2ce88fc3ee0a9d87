import { describe, expect, it } from 'vitest';
import type { Setup, SetupEdit } from '../../../api/types';
import { copyStep, insertStep, moveStep, orderAt, orderedSteps, removeStep } from './chainEdits';

const setup = (...orders: number[]): Setup =>
  ({
    model: {
      channels: {
        tilt: {
          number: 8,
          label: 'Tilt',
          take: { kind: 'constant', value: 0 },
          steps: Object.fromEntries(orders.map((order, i) => [`s${i}`, { kind: 'scale', order }])),
        },
        lamp: { number: 9, label: 'Lamp', take: { kind: 'constant', value: 0 } },
      },
    },
  }) as unknown as Setup;

/** The ids of a chain after an edit of one member or of a whole step. */
function after(before: Setup, edit: SetupEdit, channel = 'tilt'): string[] {
  const document = structuredClone(before);
  for (const { op, path, value } of edit.operations) {
    if (op === 'test') continue;
    const names = path.slice(1).split('/');
    const last = names.pop()!;
    let node = document as unknown as Record<string, unknown>;
    for (const name of names) node = (node[name] ??= {}) as Record<string, unknown>;
    if (op === 'remove') Reflect.deleteProperty(node, last);
    else node[last] = value;
  }
  return orderedSteps(document.model.channels[channel]!).map(([id]) => id);
}

const step = { kind: 'limit', order: 0, low: -50, high: 50 } as const;

describe('edits of a chain', () => {
  it('inserts before, between and after', () => {
    const made = setup(10, 20, 30);
    for (const [index, ids] of [
      [0, ['limit', 's0', 's1', 's2']],
      [1, ['s0', 'limit', 's1', 's2']],
      [3, ['s0', 's1', 's2', 'limit']],
    ] as const)
      expect(after(made, insertStep(made, 'tilt', index, step, 'x'))).toEqual(ids);
    expect(orderAt([], 0)).toBe(10);
  });

  it('moves every step to every place, whatever the orders are', () => {
    for (const orders of [
      [10, 20, 30, 40],
      [-1, 0, 0.5, 900],
    ])
      for (let from = 0; from < 4; from++)
        for (let to = 0; to < 4; to++) {
          const made = setup(...orders);
          const edit = moveStep(made, 'tilt', `s${from}`, to);
          if (from === to) {
            expect(edit).toBeNull();
            continue;
          }
          const ids = ['s0', 's1', 's2', 's3'].filter((id) => id !== `s${from}`);
          ids.splice(to, 0, `s${from}`);
          expect(after(made, edit!)).toEqual(ids);
        }
  });

  it('refuses places that are not there', () => {
    expect(moveStep(setup(1, 2), 'tilt', 's0', 2)).toBeNull();
    expect(moveStep(setup(1, 2), 'tilt', 's0', -1)).toBeNull();
  });

  it('copies to the end of another chain under an id of its own, and removes', () => {
    const made = setup(10, 20);
    expect(after(made, copyStep(made, 'tilt', 's0', 'lamp'), 'lamp')).toEqual(['scale']);
    expect(after(made, copyStep(made, 'tilt', 's0', 'tilt'))).toEqual(['s0', 's1', 'scale']);
    expect(after(made, removeStep(made, 'tilt', 's0'))).toEqual(['s1']);
  });
});
