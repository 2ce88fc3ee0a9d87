import type { WorkStep } from '../api/types';

/** The page on which a step is done: its station, the proof, or its place in the list. */
export function pageOf(craft: string, { id, place }: WorkStep): string {
  if (place.station) return `/craft/${craft}/${place.station}${place.part === '' ? '' : `?part=${place.part}`}`;
  return place.part === 'proof' ? `/craft/${craft}/proof` : `/craft/${craft}/work#${id}`;
}
