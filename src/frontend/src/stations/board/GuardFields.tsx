import { RANGES } from '../../api/generated/ranges';
import type { ArmGuards } from '../../api/types';
import { NumberField } from '../../ui/NumberField';
import { SecondsField } from '../../ui/SecondsField';
import { SelectField } from '../../ui/SelectField';
import type { Put } from './put';

interface Props {
  guards: ArmGuards;
  /** Where the limit of a tilt guard starts, in degrees. */
  usualTilt: number;
  put: Put;
}

/** What the board asks for before it arms, and how it disarms. Consent and conflicting functions guard by being there. */
export function GuardFields({ guards, usualTilt, put }: Props) {
  const limit = guards.tiltLimit ?? null;
  const all = {
    refusesConnected: true,
    disarmsOnlyWhenLow: false,
    refusesThrottle: true,
    refusalLatches: true,
    ...guards,
  };
  const set = (title: string, change: Partial<ArmGuards>) => put(title, ['guards'], { ...all, ...change });
  return (
    <>
      <SelectField
        label="Refuses to arm when tilted"
        value={limit === null ? 'no' : 'yes'}
        options={[
          { value: 'no', label: 'no: the guard is lifted' },
          { value: 'yes', label: 'beyond a limit' },
        ]}
        onChange={(v) =>
          set(v === 'yes' ? 'Tilt guard' : 'No tilt guard', { tiltLimit: v === 'yes' ? usualTilt : null })
        }
      />
      {limit !== null && (
        <NumberField
          label="of"
          unit="°"
          value={limit}
          {...RANGES['board.guards.tiltLimit']}
          onCommit={(v) => set(`Tilt limit ${v}°`, { tiltLimit: v })}
        />
      )}
      <SelectField
        label="While connected for configuration"
        value={all.refusesConnected ? 'refuses' : 'arms'}
        options={[
          { value: 'refuses', label: 'refuses until unlocked' },
          { value: 'arms', label: 'arms all the same' },
        ]}
        onChange={(v) => set('Arming while connected', { refusesConnected: v === 'refuses' })}
      />
      <SelectField
        label="The switch disarms"
        value={all.disarmsOnlyWhenLow ? 'low' : 'at-once'}
        options={[
          { value: 'at-once', label: 'at once' },
          { value: 'low', label: 'only with the throttle low' },
        ]}
        onChange={(v) => set('How the switch disarms', { disarmsOnlyWhenLow: v === 'low' })}
      />
      <SelectField
        label="With the throttle up"
        value={all.refusesThrottle ? 'refuses' : 'arms'}
        options={[
          { value: 'refuses', label: 'refuses to arm' },
          { value: 'arms', label: 'arms all the same' },
        ]}
        onChange={(v) => set('Arming with the throttle up', { refusesThrottle: v === 'refuses' })}
      />
      <SelectField
        label="A refusal"
        value={all.refusalLatches ? 'stands' : 'ends'}
        options={[
          { value: 'stands', label: 'stands until the switch was off' },
          { value: 'ends', label: 'ends with its reason' },
        ]}
        onChange={(v) => set('How long a refusal stands', { refusalLatches: v === 'stands' })}
      />
      <SecondsField
        label="Calibrates after power-up for (0: no guard)"
        value={all.calibration ?? 0}
        min={0}
        max={RANGES['board.guards.calibration'].max}
        onCommit={(v) => set('Calibration', { calibration: v === 0 ? null : v })}
      />
      <SecondsField
        label="Disarms by itself, throttle low, after (0: never)"
        value={all.disarmsAfter ?? 0}
        min={0}
        max={RANGES['board.guards.disarmsAfter'].max}
        onCommit={(v) => set('Disarms by itself', { disarmsAfter: v === 0 ? null : v })}
      />
    </>
  );
}
