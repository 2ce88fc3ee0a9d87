import { RANGES } from '../../api/generated/ranges';
import type { LossSettings, Setup } from '../../api/types';
import { NumberField } from '../../ui/NumberField';
import { SecondsField } from '../../ui/SecondsField';
import { SelectField } from '../../ui/SelectField';
import type { Put } from './put';

interface Props {
  board: Setup['board'];
  put: Put;
}

/** What the board does after it knows that the signal is lost. */
export function LossFields({ board, put }: Props) {
  const all = {
    grace: 0,
    graceValues: 'last',
    procedure: 'stop',
    landingTime: 10000,
    recovery: 'at-once',
    flownOnly: false,
    beeper: 'none',
    ...board.loss,
  } as const;
  const set = (title: string, change: Partial<LossSettings>) => put(title, ['loss'], { ...all, ...change });
  return (
    <>
      <NumberField
        label="Signal lost after"
        unit="ms"
        value={board.signalTimeout}
        {...RANGES['board.signalTimeout']}
        step={10}
        onCommit={(v) => put(`Signal lost after ${v} ms`, ['signalTimeout'], v)}
      />
      <NumberField
        label="waits on for"
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
        <SecondsField
          label={all.procedure === 'land' ? 'for' : 'or, without a fix, lands for'}
          value={all.landingTime}
          {...RANGES['board.loss.landingTime']}
          onCommit={(v) => set(`Landing for ${v / 1000} s`, { landingTime: v })}
        />
      )}
      {all.procedure === 'return-home' && <ReturnFields board={board} set={set} />}
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
      <SelectField
        label="The craft beeps by itself"
        value={all.beeper}
        options={[
          { value: 'none', label: 'never' },
          { value: 'since-loss', label: 'until frames are back' },
          { value: 'when-down', label: 'once its motors stopped' },
        ]}
        onChange={(v) => set('Beeper on a loss', { beeper: v as LossSettings['beeper'] })}
      />
      <SecondsField
        label="Just stops where the throttle was low for (0: never)"
        value={all.lowBefore ?? 0}
        min={0}
        max={RANGES['board.loss.lowBefore'].max}
        onCommit={(v) => set('Low throttle before a loss', { lowBefore: v === 0 ? null : v })}
      />
    </>
  );
}

/** How it flies home. */
function ReturnFields({
  board,
  set,
}: {
  board: Setup['board'];
  set: (title: string, change: Partial<LossSettings>) => void;
}) {
  const home = { height: 30, climb: 3, speed: 8, notWithin: 20, ...board.loss?.return };
  const fields = [
    ['height', 'It climbs first to', 'm', 5],
    ['climb', 'climbing at', 'm/s', 0.5],
    ['speed', 'and flies home at', 'm/s', 1],
    ['notWithin', 'but lands, nearer than', 'm', 5],
  ] as const;
  return fields.map(([member, label, unit, step]) => (
    <NumberField
      key={member}
      label={label}
      unit={unit}
      value={home[member]}
      {...RANGES[`board.loss.return.${member}`]}
      step={step}
      onCommit={(v) => set(`Return home: ${label} ${v} ${unit}`, { return: { ...home, [member]: v } })}
    />
  ));
}
