/** A distance in kilometres, in the unit that people say it in. */
export function distance(km: number): string {
  return km < 1 ? `${Math.round(km * 1000)} m` : `${figure(km, km < 10 ? 1 : 0)} km`;
}

/** A time of today, to the second. */
export function clockTime(time: Date): string {
  return time.toLocaleTimeString('en-GB');
}

/** A figure with at most so many digits after the point, and a real minus sign. */
export function figure(value: number, digits: number): string {
  return value.toLocaleString('en-GB', { maximumFractionDigits: digits, useGrouping: false }).replace('-', '−');
}

/** A sentence in which no figure parts from its unit at the end of a line. */
export const together = (text: string): string => text.replace(/(\d) (?=(µs|ms|s|%|°\/s|V|km|m)\b)/g, '$1\u00a0');
