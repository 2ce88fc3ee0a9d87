import type { Assignment, PadReading } from './assignment';

/** How far an axis must go, of the whole range from -1 to 1, to be meant; and how still it must be to be at rest. */
const MEANT = 0.5;
const STILL = 0.02;
/** So long must everything rest before the next step, in milliseconds. */
const REST = 1000;

/** Teaching which axis or button moves a control: moved to its one end, to the other, and let go. */
export interface Teaching {
  step: 'far' | 'near' | 'rest' | 'done';
  /** The gamepad as it was when the step began. */
  from: PadReading;
  last: PadReading;
  /** Since when nothing has moved. */
  still: number;
  /** The axis that is meant, once it is known. */
  axis: number | null;
  far: number;
  near: number;
  assignment: Assignment | null;
}

/** Begins: the control is to be moved up, right, forward, or to its far end. */
export function begin(reading: PadReading, now: number): Teaching {
  return { step: 'far', from: reading, last: reading, still: now, axis: null, far: 0, near: 0, assignment: null };
}

/** What is known after another look at the gamepad. Each step ends once the control has moved and rested for a second. */
export function look(teaching: Teaching, reading: PadReading, now: number): Teaching {
  if (teaching.step === 'done') return teaching;
  const moved = reading.axes.some((value, i) => Math.abs(value - (teaching.last.axes[i] ?? 0)) > STILL);
  const next = { ...teaching, last: moved ? reading : teaching.last, still: moved ? now : teaching.still };
  const button = reading.buttons.findIndex((pressed, i) => pressed && !teaching.from.buttons[i]);
  if (next.step === 'far' && next.axis === null && button >= 0)
    return { ...next, step: 'done', assignment: { kind: 'button', index: button } };
  // A hand needs longer to let go than to hold still.
  if (moved || now - next.still < (next.step === 'rest' ? 2 * REST : REST)) return next;
  const after = advance(next, reading);
  return after.step === next.step ? after : { ...after, still: now };
}

function advance(teaching: Teaching, reading: PadReading): Teaching {
  if (teaching.step === 'far') {
    const axis = farthest(teaching.from, reading);
    if (axis === null) return teaching;
    return { ...teaching, step: 'near', axis, far: reading.axes[axis]!, from: reading };
  }
  const { axis } = teaching;
  if (axis === null) return teaching;
  const raw = reading.axes[axis]!;
  if (teaching.step === 'near') {
    if (Math.abs(raw - teaching.far) < MEANT) return teaching;
    return { ...teaching, step: 'rest', near: raw };
  }
  // What stays at an end when it is let go has no spring: halfway stands for its centre.
  const between = (raw - teaching.near) / (teaching.far - teaching.near);
  const centre = between > 0.25 && between < 0.75 ? raw : (teaching.near + teaching.far) / 2;
  return {
    ...teaching,
    step: 'done',
    assignment: { kind: 'axis', index: axis, low: teaching.near, centre, high: teaching.far },
  };
}

function farthest(from: PadReading, to: PadReading): number | null {
  const ways = to.axes.map((value, i) => Math.abs(value - (from.axes[i] ?? 0)));
  const most = Math.max(...ways, 0);
  return most >= MEANT ? ways.indexOf(most) : null;
}
