import type { ControlView } from '../../api/types';

/** What of a gamepad moves a control: an axis with its measured travel, or a button. */
export type Assignment =
  { kind: 'axis'; index: number; low: number; centre: number; high: number } | { kind: 'button'; index: number };

/** The axes and buttons of a gamepad at a moment. */
export interface PadReading {
  axes: readonly number[];
  buttons: readonly boolean[];
}

/** Reads what can be read of the first gamepad that is there; null without one. */
export function readPad(pads: readonly (Gamepad | null)[]): (PadReading & { id: string }) | null {
  const pad = pads.find((p) => p?.connected);
  return pad ? { id: pad.id, axes: [...pad.axes], buttons: pad.buttons.map((b) => b.pressed) } : null;
}

/** Where a control stands: -1 to 1 along its travel; null where the gamepad has no such axis or button. */
export function travelOf(assignment: Assignment, reading: PadReading): number | null {
  if (assignment.kind === 'button') {
    const pressed = reading.buttons[assignment.index];
    return pressed === undefined ? null : pressed ? 1 : -1;
  }
  const raw = reading.axes[assignment.index];
  if (raw === undefined) return null;
  const { low, centre, high } = assignment;
  const upper = (raw - centre) / (high - centre);
  const share = upper >= 0 ? upper : -(raw - centre) / (low - centre);
  return Math.max(-1, Math.min(1, share));
}

/** The setting of a control for a place along its travel: percent, the nearest position, or 0 and 1. */
export function settingOf(control: ControlView, travel: number): number {
  const { positions } = control;
  if (positions.length === 0) return Math.round(travel * 1000) / 10;
  // The travel runs from the safe end to the far one, as the assignment was taught.
  return positions[Math.round(((travel + 1) / 2) * (positions.length - 1))]!.setting;
}
