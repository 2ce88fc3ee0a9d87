import type { Station, TraceStop } from './types';

/** The stations of the path in its order. */
export const STATIONS: readonly Station[] = ['hands', 'model', 'air', 'wire', 'board', 'craft', 'return'];

/** Their names. */
export const STATION_NAMES: Record<Station, string> = {
  hands: 'Hands',
  model: 'Model',
  air: 'Air',
  wire: 'Wire',
  board: 'Board',
  craft: 'Craft',
  return: 'Return',
};

/** Whether a text from the address names a station. */
export function isStation(text: string | undefined): text is Station {
  return STATIONS.some((station) => station === text);
}

/** How a value fares at a stop, as a word for those who do not see the colour. */
export function markOf(stop: TraceStop): string {
  if (stop.mark === 'wrong') return 'goes wrong';
  return stop.mark === 'ended' ? 'does not arrive' : '';
}
