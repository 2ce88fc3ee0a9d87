import { useState } from 'react';
import { makeEdit } from '../../api/edits';
import type { FlightBoard, Setup } from '../../api/types';
import type { Changes } from '../../edits/useChanges';
import { SelectField } from '../../ui/SelectField';
import { SentenceRow } from '../../ui/SentenceRow';

type Equipment = NonNullable<FlightBoard['equipment']>;

const PIECES: readonly { member: keyof Equipment; piece: string; measures: string }[] = [
  { member: 'divider', piece: 'a divider', measures: 'battery voltage' },
  { member: 'currentSensor', piece: 'a current sensor', measures: 'current and charge used' },
  { member: 'barometer', piece: 'a barometer', measures: 'height' },
  { member: 'analogueSignal', piece: 'an analogue signal input', measures: 'the signal at a pin' },
  { member: 'positionReceiver', piece: 'a position receiver', measures: 'distance home and satellites' },
];

const UNKNOWN = 'unknown';

const WAYS = [
  { value: UNKNOWN, label: 'was not looked at' },
  { value: 'receiver-wire', label: 'over the receiver’s own wire' },
  { value: 'own-wire', label: 'over a wire of its own' },
  { value: 'off', label: 'not at all: it is off' },
];

/** What the board can measure, and how it reports that. */
export function EquipmentRow({ setup, changes }: { setup: Setup; changes: Changes }) {
  const [open, setOpen] = useState(false);
  const equipment = setup.board.equipment ?? {};
  const has = PIECES.filter((p) => equipment[p.member]);
  const way = setup.board.reports ?? UNKNOWN;
  const put = (title: string, path: string[], value: unknown) =>
    void changes.edit(makeEdit(title, setup, [{ path: ['board', ...path], value }]));
  return (
    <SentenceRow
      name="Board"
      says={
        <>
          {has.length > 0
            ? `Measures ${has.map((p) => p.measures).join(', ')}. `
            : 'Nothing is written down of what it measures. '}
          {way === UNKNOWN
            ? 'How its reports come to the receiver was not looked at; here they are taken to come.'
            : way === 'off'
              ? 'Its telemetry is off: nothing of it comes.'
              : `It reports ${WAYS.find((w) => w.value === way)?.label}.`}
        </>
      }
      open={open}
      onOpen={setOpen}
    >
      {PIECES.map(({ member, piece, measures }) => (
        <label key={member} className="flex min-h-9 items-center gap-2">
          <input
            type="checkbox"
            className="size-5 accent-sea"
            checked={equipment[member] ?? false}
            onChange={(event) =>
              put(
                `The board has ${event.target.checked ? piece : piece.replace(/^an?/, 'no')}`,
                ['equipment', member],
                event.target.checked,
              )
            }
          />
          {piece}: {measures}
        </label>
      ))}
      <SelectField
        label="It reports"
        value={way}
        options={WAYS}
        onChange={(v) =>
          put(
            `The board reports: ${WAYS.find((w) => w.value === v)?.label}`,
            ['reports'],
            v === UNKNOWN ? undefined : v,
          )
        }
      />
    </SentenceRow>
  );
}
