import { figure } from '../../../ui/figures';

/** A time of a flight as it is read on a clock: minutes and seconds. */
export function flightTime(ms: number, digits = 0): string {
  const seconds = ms / 1000;
  const minutes = Math.floor(seconds / 60);
  const rest = seconds - minutes * 60;
  const shown = rest.toFixed(digits);
  // 59.96 s is not "0:60.0".
  if (Number(shown) >= 60) return `${minutes + 1}:${(0).toFixed(digits).padStart(digits ? digits + 3 : 2, '0')}`;
  return `${minutes}:${shown.padStart(digits ? digits + 3 : 2, '0')}`;
}

/** A span of time: seconds, and tenths of them while they are few. */
export const span = (ms: number): string => `${figure(ms / 1000, ms < 20_000 ? 1 : 0)} s`;
