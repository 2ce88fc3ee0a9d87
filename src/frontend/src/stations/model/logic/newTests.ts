import { listed } from '../../../api/listed';
import type { Setup, SetupView, Test } from '../../../api/types';

/** The kinds of tests, as they are called in the list to choose from. */
export const TEST_KINDS: { kind: NonNullable<Test['kind']>; name: string; group: string }[] = [
  { kind: 'position', name: 'a control is in a position', group: 'Ask' },
  { kind: 'compare', name: 'a value is below or above', group: 'Ask' },
  { kind: 'press', name: 'a button is pressed for so long', group: 'Ask' },
  { kind: 'sensor', name: 'telemetry is below or above', group: 'Ask' },
  { kind: 'telemetry-lost', name: 'telemetry is lost', group: 'Ask' },
  { kind: 'holds', name: 'another condition holds', group: 'Ask' },
  { kind: 'state', name: 'a flight state is active', group: 'Ask' },
  { kind: 'all', name: 'all of these (and)', group: 'Combine' },
  { kind: 'any', name: 'any of these (or)', group: 'Combine' },
  { kind: 'not', name: 'none of these (not)', group: 'Combine' },
  { kind: 'latch', name: 'latch: set by, cleared by', group: 'Remember' },
  { kind: 'delay', name: 'only after a while', group: 'Remember' },
];

/** A new test of a kind, as far as possible about something that the setup has; null when it has nothing to ask for. */
export function newTest(kind: NonNullable<Test['kind']>, setup: Setup, starts: SetupView['starts']): Test | null {
  const { controls } = setup.transmitter;
  const first = (kinds: string[]) => listed(controls).find(([, c]) => kinds.includes(c.kind ?? ''))?.[0];
  const ask = (): Test => newTest('position', setup, starts) ?? { kind: 'telemetry-lost' };
  switch (kind) {
    case 'position': {
      const control = first(['switch']) ?? first(['button']);
      if (!control) return null;
      const made = controls[control]!;
      return { kind, control, positions: [made.kind === 'switch' ? made.positions : 1] };
    }
    case 'press': {
      const control = first(['button']);
      return control ? { kind, control, atLeast: 2000, before: null } : null;
    }
    case 'compare': {
      const control = first(['stick', 'dial', 'slider', 'input']);
      return control
        ? { kind, value: { kind: 'control', control }, relation: 'below', limit: starts.throttleLow }
        : null;
    }
    case 'sensor': {
      const [id, sensor] = listed(setup.model.sensors)[0] ?? [];
      return id && sensor ? { kind, sensor: id, relation: 'below', limit: sensor.lowest } : null;
    }
    case 'telemetry-lost':
      return { kind };
    case 'holds': {
      const condition = listed(setup.model.conditions)[0]?.[0];
      return condition ? { kind, condition } : null;
    }
    case 'state': {
      const state = listed(setup.model.states)[0]?.[0];
      return state ? { kind, state } : null;
    }
    case 'latch':
      return { kind, set: [ask()], clear: [ask()] };
    case 'delay':
      return { kind, of: [ask()], onAfter: 1000, offAfter: 0 };
    default:
      return { kind, of: [ask()] };
  }
}
