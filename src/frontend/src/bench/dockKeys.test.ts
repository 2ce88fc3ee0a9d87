import { describe, expect, it } from 'vitest';
import type { ControlView } from '../api/types';
import { readKey, stickOf } from './dockKeys';

const stick = (id: string, rightHand: boolean, vertical: boolean) =>
  ({ id, kind: 'stick', place: { rightHand, vertical }, positions: [], start: 0 }) as unknown as ControlView;
const selector = (id: string, ...settings: number[]) =>
  ({
    id,
    kind: 'switch',
    place: null,
    positions: settings.map((setting) => ({ setting })),
    start: settings[0],
  }) as unknown as ControlView;

const controls = [
  stick('throttle', false, true),
  stick('yaw', false, false),
  stick('pitch', true, true),
  selector('arm', 1, 2),
  selector('mode', 3, 2, 1),
];

describe('readKey', () => {
  it.each([
    ['w', false, 'throttle', 10],
    ['S', true, 'throttle', -1],
    ['a', false, 'yaw', -10],
    ['ArrowUp', false, 'pitch', 10],
  ])('%s moves a stick by its step', (key, shift, id, by) => {
    expect(readKey(key, shift, controls, {})).toMatchObject({ kind: 'stick', control: { id }, by });
  });

  it('has no key for an axis that the transmitter lacks', () => {
    expect(stickOf('ArrowLeft', controls)).toBeNull();
  });

  it.each([
    ['1', { arm: 1 }, 2],
    ['1', { arm: 2 }, 1],
    ['2', { mode: 3 }, 2],
    ['2', { mode: 1 }, 3],
    ['2', {}, 2],
  ])('%s with %o puts the switch one further from its safe end, and back after the last', (key, settings, to) => {
    expect(readKey(key, false, controls, settings as Record<string, number>)).toMatchObject({ kind: 'switch', to });
  });

  it.each(['3', '0', 'q', 'Enter'])('%s means nothing', (key) => {
    expect(readKey(key, false, controls, {})).toBeNull();
  });
});
