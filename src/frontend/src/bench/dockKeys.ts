import type { ControlView } from '../api/types';

/** What a key in the dock asks for. */
export type DockAction =
  | { kind: 'stick'; control: ControlView; by: number }
  | { kind: 'switch'; control: ControlView; to: number }
  | { kind: 'link' }
  | { kind: 'power' }
  | { kind: 'usb' }
  | { kind: 'tilt' }
  | { kind: 'fix' }
  | { kind: 'rest' }
  | { kind: 'stand-back' };

const STICK_KEYS: Record<string, { right: boolean; vertical: boolean; sign: 1 | -1 }> = {
  w: { right: false, vertical: true, sign: 1 },
  s: { right: false, vertical: true, sign: -1 },
  d: { right: false, vertical: false, sign: 1 },
  a: { right: false, vertical: false, sign: -1 },
  arrowup: { right: true, vertical: true, sign: 1 },
  arrowdown: { right: true, vertical: true, sign: -1 },
  arrowright: { right: true, vertical: false, sign: 1 },
  arrowleft: { right: true, vertical: false, sign: -1 },
};

const COARSE = 10;
const FINE = 1;

/** The stick axis that a key moves, or null. */
export function stickOf(key: string, controls: readonly ControlView[]): ControlView | null {
  const wanted = STICK_KEYS[key.toLowerCase()];
  if (!wanted) return null;
  return (
    controls.find((c) => c.place && c.place.rightHand === wanted.right && c.place.vertical === wanted.vertical) ?? null
  );
}

/**
 * Reads a key that is pressed while the dock has the focus.
 * @param settings where the controls stand now
 * @returns what it asks for, or null when the key means nothing here
 */
export function readKey(
  key: string,
  shift: boolean,
  controls: readonly ControlView[],
  settings: Readonly<Record<string, number>>,
): DockAction | null {
  const stick = stickOf(key, controls);
  if (stick) {
    const sign = STICK_KEYS[key.toLowerCase()]!.sign;
    return { kind: 'stick', control: stick, by: sign * (shift ? FINE : COARSE) };
  }
  const digit = Number(key);
  if (digit >= 1) {
    const control = controls.filter((c) => c.kind === 'switch')[digit - 1];
    return control
      ? { kind: 'switch', control, to: nextPosition(control, settings[control.id] ?? control.start) }
      : null;
  }
  switch (key.toLowerCase()) {
    case 'l':
      return { kind: 'link' };
    case 'b':
      return { kind: 'power' };
    case 'u':
      return { kind: 'usb' };
    case 't':
      return { kind: 'tilt' };
    case 'p':
      return { kind: 'fix' };
    case 'x':
      return { kind: 'rest' };
    case 'v':
      return { kind: 'stand-back' };
    default:
      return null;
  }
}

/** The position after the present one, away from the safe end; after the last comes the safe end again. */
function nextPosition(control: ControlView, setting: number): number {
  const index = control.positions.findIndex((p) => p.setting === setting);
  return control.positions[(index + 1) % control.positions.length]!.setting;
}
