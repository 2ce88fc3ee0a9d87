import { RANGES } from '../../api/generated/ranges';
import type { LossSettings } from '../../api/types';
import { NumberField } from '../../ui/NumberField';
import { SelectField } from '../../ui/SelectField';

interface Props {
  loss: LossSettings;
  put: (title: string, path: string[], value: unknown) => void;
}

/** What the board does after it knows that the signal is lost. */
export function LossFields({ loss, put }: Props) {
  const all = {
    grace: 0,
    graceValues: 'last',
    procedure: 'stop',
    landingTime: 10000,
    recovery: 'at-once',
    flownOnly: false,
    ...loss,
  } as const;
  const set = (title: string, change: Partial<LossSettings>) => put(title, ['loss'], { ...all, ...change });
  return (
    <fieldset className="mb-4 flex flex-wrap items-end gap-x-5 gap-y-3">
      <legend className="sr-only">On a lost signal</legend>
      <NumberField
        label="On a loss, waits"
        unit="ms"
        value={all.grace}
        {...RANGES['board.loss.grace']}
        step={50}
        onCommit={(v) => set(`Grace time ${v} ms`, { grace: v })}
      />
      {all.grace > 0 && (
        <SelectField
          label="and flies on"
          value={all.graceValues}
          options={[
            { value: 'last', label: 'the last values' },
            { value: 'substituted', label: 'centred sticks, low throttle' },
          ]}
          onChange={(v) => set('Values of the grace time', { graceValues: v as LossSettings['graceValues'] })}
        />
      )}
      <SelectField
        label="then"
        value={all.procedure}
        options={[
          { value: 'stop', label: 'stops the motors' },
          { value: 'land', label: 'lands' },
          { value: 'return-home', label: 'flies home, with a position fix' },
        ]}
        onChange={(v) => set('Loss procedure', { procedure: v as LossSettings['procedure'] })}
      />
      {all.procedure !== 'stop' && (
        <NumberField
          label={all.procedure === 'land' ? 'for' : 'or, without a fix, lands for'}
          unit="ms"
          value={all.landingTime}
          {...RANGES['board.loss.landingTime']}
          step={500}
          onCommit={(v) => set(`Landing for ${v} ms`, { landingTime: v })}
        />
      )}
      {all.procedure !== 'stop' && (
        <SelectField
          label="Armed, but not flown yet"
          value={all.flownOnly ? 'stops' : 'procedure'}
          options={[
            { value: 'procedure', label: 'does that all the same' },
            { value: 'stops', label: 'just stops the motors' },
          ]}
          onChange={(v) => set('On a loss before the craft has flown', { flownOnly: v === 'stops' })}
        />
      )}
      {all.procedure !== 'stop' && (
        <SelectField
          label="The pilot has it back"
          value={all.recovery}
          options={[
            { value: 'at-once', label: 'with the first frame' },
            { value: 'stick-moved', label: 'when a stick is moved' },
          ]}
          onChange={(v) => set('Recovery', { recovery: v as LossSettings['recovery'] })}
        />
      )}
    </fieldset>
  );
}
