import { describe, expect, it } from 'vitest';
import { Asked } from './Asked';

describe('what was asked of the bench', () => {
  it('stands before the picture until the picture shows it', () => {
    const asked = new Asked(() => 0);
    asked.put('throttle', -90);
    asked.put('throttle', -80);
    expect(asked.over({ throttle: -100, yaw: 0 })).toEqual({ throttle: -80, yaw: 0 });
    // A picture on the way shows the first of the two movements.
    asked.see({ throttle: -90 });
    expect(asked.over({ throttle: -90 })).toEqual({ throttle: -80 });
    asked.see({ throttle: -80 });
    expect(asked.over({ throttle: -70 })).toEqual({ throttle: -70 });
  });

  it('is given up after a while, and forgotten when the server is away', () => {
    let now = 0;
    const asked = new Asked(() => now);
    asked.put('link', false);
    now = 2999;
    expect(asked.over({ link: true })).toEqual({ link: false });
    now = 3000;
    expect(asked.over({ link: true })).toEqual({ link: true });
    asked.put('link', false);
    asked.clear();
    expect(asked.over({ link: true })).toEqual({ link: true });
  });

  it('adds nothing that a picture does not have', () => {
    const asked = new Asked(() => 0);
    asked.put('gone', 1);
    expect(asked.over({ yaw: 0 })).toEqual({ yaw: 0 });
  });
});
