/** A time of a timer as a clock shows it, in whole seconds: "2:05", "−0:07". */
export function clock(ms: number): string {
  const seconds = Math.round(Math.abs(ms) / 1000);
  const rest = String(seconds % 60).padStart(2, '0');
  return `${ms < 0 && seconds > 0 ? '−' : ''}${Math.floor(seconds / 60)}:${rest}`;
}
