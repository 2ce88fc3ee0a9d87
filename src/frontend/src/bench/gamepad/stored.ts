import type { Assignment } from './assignment';

/** What moves which control, by the control's id. */
export type Assignments = Readonly<Record<string, Assignment>>;

const key = (transmitter: string) => `zephyros.sticks.${transmitter}`;

/** The assignments that this browser keeps for a transmitter; none when there are none, or when they cannot be read. */
export function loadAssignments(transmitter: string): Assignments {
  try {
    return JSON.parse(localStorage.getItem(key(transmitter)) ?? '{}') as Assignments;
  } catch {
    return {};
  }
}

/** Keeps the assignments of a transmitter in this browser. */
export function keepAssignments(transmitter: string, assignments: Assignments): void {
  localStorage.setItem(key(transmitter), JSON.stringify(assignments));
}
