import type { MapCell } from '../../../api/types';
import { span } from './times';

/** How an alarm would do at a place of the map, in words. */
export function cellWords(cell: MapCell): string {
  const wrong =
    cell.false === 0 ? 'no false alarm' : cell.false === 1 ? 'one false alarm' : `${cell.false} false alarms`;
  if (cell.missed > 0) return `${wrong}; missed on ${cell.missed === 1 ? 'one flight' : `${cell.missed} flights`}.`;
  if (cell.lead === null) return `${wrong}; no flight had a critical moment.`;
  return `${wrong}; at least ${span(cell.lead)} before the critical moment${cell.enough ? '' : ', which is too little'}.`;
}

/** What a place is called by its colour and mark. */
export type CellKind = 'good' | 'false' | 'late' | 'both';

/** Which of the kinds a place is. */
export const kindOf = (cell: MapCell): CellKind =>
  cell.enough ? (cell.false === 0 ? 'good' : 'false') : cell.false === 0 ? 'late' : 'both';
