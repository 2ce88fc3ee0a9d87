import type { BenchMessage } from '../api/types';

/** What happens to the craft from outside. */
export interface Around {
  link: boolean;
  power: boolean;
  /** In degrees. */
  tilt: number;
  connected: boolean;
  unlocked: boolean;
  /** Whether the board has a position fix. */
  fix: boolean;
}

/** What happens to the craft in a picture; before the first one all is as in flight. */
export function aroundOf({ message }: { message: BenchMessage | null }): Around {
  const { link = true, power = true, surroundings } = message?.snapshot ?? {};
  const { tilt, connected = false, unlocked = false, fix = false } = surroundings ?? {};
  return { link, power, tilt: tilt ?? 0, connected, unlocked, fix };
}

/** How the craft may lie on the bench: level, tilted as in a hand, on its back. */
const TILTS = [0, 45, 180];

/** The next way to lie. */
export function nextTilt(tilt: number): number {
  return TILTS[(TILTS.indexOf(tilt) + 1) % TILTS.length]!;
}

/** The next state of the configuration link: off, connected, connected and unlocked. */
export function nextConnection({ connected, unlocked }: Around): Pick<Partial<Around>, 'connected' | 'unlocked'> {
  if (!connected) return { connected: true, unlocked: false };
  return unlocked ? { connected: false, unlocked: false } : { unlocked: true };
}
