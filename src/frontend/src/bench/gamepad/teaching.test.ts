import { expect, test } from 'vitest';
import type { ControlView } from '../../api/types';
import { readPad, settingOf, travelOf, type PadReading } from './assignment';
import { begin, look, type Teaching } from './teaching';

const pad = (axes: number[], buttons: boolean[] = []): PadReading => ({ axes, buttons });

/** Looks at a gamepad that stands at each of these places for some time, every 100 ms. */
function run(teaching: Teaching, places: readonly (readonly [PadReading, number])[]): Teaching {
  let now = 0;
  for (const [reading, ms] of places)
    for (let t = 0; t < ms; t += 100) teaching = look(teaching, reading, (now += 100));
  return teaching;
}

test('an axis is taught by moving it to both ends and letting it go, whichever way it runs', () => {
  const done = run(begin(pad([0, 0.1, 0]), 0), [
    [pad([0, -0.9, 0]), 500],
    [pad([0, -0.95, 0.05]), 1500],
    [pad([0, 0.8, 0]), 1500],
    [pad([0, 0.1, 0]), 2500],
  ]);
  expect(done.assignment).toEqual({ kind: 'axis', index: 1, low: 0.8, centre: 0.1, high: -0.95 });
  expect(travelOf(done.assignment!, pad([0, 0.1, 0]))).toBeCloseTo(0);
  expect(travelOf(done.assignment!, pad([0, -0.95, 0]))).toBe(1);
  expect(travelOf(done.assignment!, pad([0, 0.45, 0]))).toBeCloseTo(-0.5);
  expect(travelOf(done.assignment!, pad([0, 1, 0]))).toBe(-1);
});

test('a stick without a spring has its centre halfway', () => {
  const done = run(begin(pad([-1]), 0), [
    [pad([1]), 1500],
    [pad([-1]), 1500],
    [pad([-1]), 2500],
  ]);
  expect(done.assignment).toEqual({ kind: 'axis', index: 0, low: -1, centre: 0, high: 1 });
});

test('what hardly moves, or does not rest for a second, is not taken', () => {
  expect(run(begin(pad([0]), 0), [[pad([0.3]), 3000]]).step).toBe('far');
  expect(run(begin(pad([0]), 0), [[pad([1]), 800]]).step).toBe('far');
});

test('a button is taken at once, and one that was held before is not', () => {
  const done = look(begin(pad([0], [true, false]), 0), pad([0], [true, true]), 10);
  expect(done.assignment).toEqual({ kind: 'button', index: 1 });
  expect(travelOf(done.assignment!, pad([0], [true, false]))).toBe(-1);
  expect(travelOf({ kind: 'axis', index: 9, low: -1, centre: 0, high: 1 }, pad([0]))).toBeNull();
});

test('a place along the travel is percent for a stick and the nearest position for a switch', () => {
  const stick = { positions: [] } as unknown as ControlView;
  const three = { positions: [{ setting: 1 }, { setting: 2 }, { setting: 3 }] } as unknown as ControlView;
  const turned = { positions: [{ setting: 2 }, { setting: 1 }] } as unknown as ControlView;
  expect(settingOf(stick, 0.4567)).toBe(45.7);
  expect([-1, -0.4, 0.6, 1].map((t) => settingOf(three, t))).toEqual([1, 2, 3, 3]);
  expect([-1, 1].map((t) => settingOf(turned, t))).toEqual([2, 1]);
});

test('only a gamepad that is connected is read', () => {
  const sticks = (connected: boolean) =>
    ({ id: 'Sticks', connected, axes: [0.5], buttons: [{ pressed: true }] }) as unknown as Gamepad;
  expect(readPad([null, sticks(false), sticks(true)])).toEqual({ id: 'Sticks', axes: [0.5], buttons: [true] });
  expect(readPad([null])).toBeNull();
});
