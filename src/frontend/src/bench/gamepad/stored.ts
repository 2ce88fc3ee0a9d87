import { literal, number, object, record, string, variant } from 'valibot';
import { parseKept } from '../../ui/useKept';
import type { Assignment } from './assignment';

/** What moves which control, by the control's id. */
export type Assignments = Readonly<Record<string, Assignment>>;

const shape = record(
  string(),
  variant('kind', [
    object({ kind: literal('axis'), index: number(), low: number(), centre: number(), high: number() }),
    object({ kind: literal('button'), index: number() }),
  ]),
);

const key = (transmitter: string) => `zephyros.sticks.${transmitter}`;

/** The assignments that this browser keeps for a transmitter; none when there are none, or when they cannot be read. */
export function loadAssignments(transmitter: string): Assignments {
  return parseKept(localStorage.getItem(key(transmitter)), shape) ?? {};
}

/** Keeps the assignments of a transmitter in this browser. */
export function keepAssignments(transmitter: string, assignments: Assignments): void {
  localStorage.setItem(key(transmitter), JSON.stringify(assignments));
}
