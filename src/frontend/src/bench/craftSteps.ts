import type { BenchState } from './BenchLink';

/** What the board knows of the world besides the frames. */
export interface Surroundings {
  tilt: number;
  connected: boolean;
  unlocked: boolean;
}

/** How the craft lies and what it is connected to; level and free before the first picture. */
export function surroundingsOf({ message }: Pick<BenchState, 'message'>): Surroundings {
  const { tilt, connected = false, unlocked = false } = message?.snapshot.surroundings ?? {};
  return { tilt: tilt ?? 0, connected, unlocked };
}

/** How the craft may lie on the bench: level, tilted as in a hand, on its back. */
const TILTS = [0, 45, 180];

/** The next way to lie. */
export function nextTilt(tilt: number): number {
  return TILTS[(TILTS.indexOf(tilt) + 1) % TILTS.length]!;
}

/** The next state of the configuration link: off, connected, connected and unlocked. */
export function nextConnection({ connected, unlocked }: Surroundings): Partial<Surroundings> {
  if (!connected) return { connected: true, unlocked: false };
  return unlocked ? { connected: false, unlocked: false } : { unlocked: true };
}
