import { describe, expect, it } from 'vitest';
import { aroundOf, nextConnection, nextTilt } from './craftSteps';

describe('around the craft', () => {
  it('turns the craft from level to tilted to on its back and level again', () =>
    expect([0, 45, 180, 7].map(nextTilt)).toEqual([45, 180, 0, 0]));

  it('unlocks only what is connected, and locks again when it is disconnected', () => {
    let now = aroundOf({ message: null });
    const seen = [];
    for (let i = 0; i < 4; i++) {
      now = { ...now, ...nextConnection(now) };
      seen.push([now.connected, now.unlocked]);
    }
    expect(seen).toEqual([
      [true, false],
      [true, true],
      [false, false],
      [true, false],
    ]);
  });
});
