import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api } from '../../../api/client';
import { setupQuery, workQuery } from '../../../api/queries';
import type { AlarmView } from '../../../api/types';
import type { Changes } from '../../../edits/useChanges';
import { Button } from '../../../ui/Button';
import { figure } from '../../../ui/figures';

interface Props {
  craft: string;
  alarm: AlarmView;
  /** Where the limit stands at the transmitter for the test; null before it was raised. */
  raised: number | null;
  /** What is said of it, by id. */
  said: readonly string[];
  changes: Changes;
  onDone: () => void;
}

/** The guided test of an alarm at the pilot's own transmitter. It is over only when the old limit was read back. */
export function AtTheTransmitter({ craft, alarm, raised, said, changes, onDone }: Props) {
  const client = useQueryClient();
  // What the sensor reads, and then what the limit does.
  const [sensorReads, setSensorReads] = useState('');
  const [limitReads, setLimitReads] = useState('');
  const [reads, setReads] = raised === null ? [sensorReads, setSensorReads] : [limitReads, setLimitReads];
  const [heard, setHeard] = useState<boolean | null>(null);
  const number = reads.trim() === '' ? NaN : Number(reads);
  const [overReads, setOverReads] = useState('');
  const over = alarm.over === null || raised === null ? null : overReads.trim() === '' ? NaN : Number(overReads);
  const body = { reads: number, over };
  const at = { params: { path: { id: craft, alarm: alarm.id } } };
  const raise = useMutation({
    mutationFn: async () => {
      const edit = await answer(api.POST('/api/setups/{id}/alarms/{alarm}/raise', { ...at, body }));
      await changes.edit(edit);
    },
  });
  const readBack = useMutation({
    mutationFn: async () => {
      const edit = await answer(api.POST('/api/setups/{id}/alarms/{alarm}/read-back', { ...at, body }));
      // First the tick: with the limit noted as back this form is gone.
      const { revision } = await client.query(setupQuery(craft));
      for (const item of said)
        await answer(
          api.POST('/api/setups/{id}/steps/{step}/{item}', {
            params: { path: { id: craft, step: 'alarms', item }, query: { revision } },
            body: {
              asExpected: heard === true,
              seen: heard ? `heard, and the limit reads ${reads} ${alarm.unit}` : 'not heard',
            },
          }),
        );
      await changes.edit(edit);
      await client.invalidateQueries({ queryKey: workQuery(craft).queryKey });
      setLimitReads('');
      setHeard(null);
      onDone();
    },
  });
  const step = raised === null ? raise : readBack;
  const level = (value: number) => `${figure(value, 2)} ${alarm.unit}`;
  return (
    <form
      aria-label={`${alarm.label} at my transmitter`}
      className="mt-2 flex max-w-[80ch] flex-col gap-2.5 rounded border border-edge bg-sheet p-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (Number.isFinite(number) && (over === null || Number.isFinite(over))) step.mutate();
      }}
    >
      {raised === null ? (
        <p>
          Propellers off, battery connected. Read <b>{alarm.sensor}</b> at your transmitter.
        </p>
      ) : (
        <>
          <p>
            <b>1.</b> Set the limit of “{alarm.label}” to <b className="font-mono">{level(raised)}</b> at your
            transmitter
            {alarm.raisedOver !== null && (
              <>
                , and where it is over to <b className="font-mono">{level(alarm.raisedOver)}</b>: else it is over at
                once
              </>
            )}
            . Wait.
          </p>
          {alarm.forces.length > 0 && (
            <p className="font-semibold text-rust">
              While it speaks it does more: {alarm.forces.join(', ')}. Propellers off.
            </p>
          )}
          <fieldset className="flex flex-wrap items-center gap-x-5">
            <legend className="float-left mr-4">
              <b>2.</b> Did it speak?
            </legend>
            {[true, false].map((yes) => (
              <label key={String(yes)} className="flex min-h-9 items-center gap-2 font-semibold">
                <input
                  type="radio"
                  name={`heard-${alarm.id}`}
                  className="accent-sea"
                  required
                  checked={heard === yes}
                  onChange={() => setHeard(yes)}
                />
                {yes ? 'heard' : 'not heard'}
              </label>
            ))}
          </fieldset>
          <p>
            <b>3.</b> Set it back to <b className="font-mono">{level(alarm.level)}</b>
            {alarm.over !== null && (
              <>
                {' '}
                and <b className="font-mono">{level(alarm.over)}</b>
              </>
            )}
            , and read it there.
          </p>
        </>
      )}
      <div className="flex flex-wrap items-end gap-3">
        <Typed
          label={raised === null ? `${alarm.sensor} reads` : 'The limit reads'}
          unit={alarm.unit}
          value={reads}
          onChange={setReads}
        />
        {over !== null && (
          <Typed label="It is over above" unit={alarm.unit} value={overReads} onChange={setOverReads} />
        )}
        <Button type="submit" look="solid" disabled={step.isPending}>
          {raised === null ? 'Where to set the limit' : 'It is back'}
        </Button>
      </div>
      {step.error && (
        <p role="alert" className="font-semibold text-rust">
          {step.error.message}
        </p>
      )}
    </form>
  );
}

/** A figure that is read at the transmitter and typed here. */
function Typed(props: { label: string; unit: string; value: string; onChange: (value: string) => void }) {
  const { label, unit, value, onChange } = props;
  return (
    <label className="flex flex-col gap-0.5 text-sm text-soft">
      {label}
      <span className="flex items-center gap-1">
        <input
          type="number"
          inputMode="decimal"
          step="any"
          required
          value={value}
          onChange={(event) => onChange(event.target.value)}
          className="h-8 w-24 rounded border border-edge bg-sheet px-2 text-right font-mono text-base font-semibold text-ink"
        />
        {unit}
      </span>
    </label>
  );
}
