import clsx from 'clsx';
import { makeEdit } from '../../api/edits';
import type { Setup, SetupView } from '../../api/types';
import type { Changes } from '../../edits/useChanges';
import { Button } from '../../ui/Button';
import { SelectField } from '../../ui/SelectField';
import { TextField } from '../../ui/TextField';

interface Props {
  setup: Setup;
  view: SetupView;
  changes: Changes;
}

const FITS = { fits: 'fits', 'with-care': 'fits, with care', impossible: 'does not work' };

/** The board's ports as places for the receiver, the best first, with what to solder and to set. */
export function PortTable({ setup, view, changes }: Props) {
  const { ports, receiverPort } = setup.board;
  const inBoard = setup.air.receiver?.inBoard === true;
  const put = (title: string, id: string, member: string, value: unknown) =>
    void changes.edit(makeEdit(title, setup, [{ path: ['board', 'ports', id, member], value }]));
  const move = (id: string) =>
    void changes.edit(
      makeEdit(`Receiver on ${ports[id]?.label}`, setup, [{ path: ['board', 'receiverPort'], value: id }]),
    );
  return (
    <section aria-labelledby="ports" className="mb-6">
      <h2 id="ports" className="text-lg font-bold">
        Which port, which pad
      </h2>
      <p className="max-w-[70ch] text-soft">
        Say of each port what the board&apos;s documentation says; the number is not always printed beside the pad.
        Propellers off before the board gets power.
      </p>
      {inBoard && (
        <p className="my-1 max-w-[70ch] rounded-sm bg-sea-wash px-2 py-1">
          The receiver is part of the board: it takes no port, and no port may be set as the receiver&apos;s.
        </p>
      )}
      <ul>
        {view.ports.map((choice) => {
          const port = ports[choice.port];
          if (!port) return null;
          const here = choice.port === receiverPort && !inBoard;
          const rename = `${port.label}: `;
          return (
            <li key={choice.port} aria-label={port.label} className="border-b border-hair py-2">
              <div className="flex flex-wrap items-end gap-x-3 gap-y-2">
                <p className="w-24 self-center leading-tight font-bold">{port.label}</p>
                <TextField
                  label="Taken by"
                  value={port.takenBy ?? ''}
                  maxLength={40}
                  width={13}
                  onCommit={(v) => put(`${rename}taken by ${v || 'nothing'}`, choice.port, 'takenBy', v)}
                />
                <SelectField
                  label="Inverter"
                  value={port.inverter ?? 'by-setting'}
                  options={[
                    { value: 'by-setting', label: 'by a setting' },
                    { value: 'none', label: 'none' },
                    { value: 'fixed', label: 'always' },
                  ]}
                  onChange={(v) => put(`${rename}inverter`, choice.port, 'inverter', v)}
                />
                <SelectField
                  label="Pads"
                  value={port.pads ?? 'both'}
                  options={[
                    { value: 'both', label: 'both ways' },
                    { value: 'receive-only', label: 'receive only' },
                  ]}
                  onChange={(v) => put(`${rename}pads`, choice.port, 'pads', v)}
                />
                <SelectField
                  label="5 V from USB"
                  value={port.usbPower === false ? 'no' : 'yes'}
                  options={[
                    { value: 'yes', label: 'yes' },
                    { value: 'no', label: 'no, battery only' },
                  ]}
                  onChange={(v) => put(`${rename}5 V from USB: ${v}`, choice.port, 'usbPower', v === 'yes')}
                />
                <SelectField
                  label="Set as the receiver's"
                  value={
                    port.receiverSet === undefined || port.receiverSet === null
                      ? 'unknown'
                      : port.receiverSet
                        ? 'yes'
                        : 'no'
                  }
                  options={[
                    { value: 'unknown', label: 'not read back' },
                    { value: 'yes', label: 'yes, read back' },
                    { value: 'no', label: 'no, read back' },
                  ]}
                  onChange={(v) =>
                    put(
                      `${rename}set as the receiver's: ${v}`,
                      choice.port,
                      'receiverSet',
                      v === 'unknown' ? undefined : v === 'yes',
                    )
                  }
                />
                {here ? (
                  <span className="flex h-8 items-center rounded-sm bg-sea-wash px-2 text-sm font-bold">
                    the receiver is here
                  </span>
                ) : (
                  choice.fit !== 'impossible' && (
                    <Button onClick={() => move(choice.port)}>Put the receiver on {port.label}</Button>
                  )
                )}
              </div>
              <p className="mt-1 text-sm">
                <b
                  className={clsx(
                    choice.fit === 'fits' && 'text-moss',
                    choice.fit === 'with-care' && 'text-ochre',
                    choice.fit === 'impossible' && 'text-rust',
                  )}
                >
                  {FITS[choice.fit]}:
                </b>{' '}
                {choice.reasons.join(' ')}
              </p>
              {here && choice.steps.length > 0 && (
                <ol className="mt-1 list-decimal pl-6 text-sm">
                  {choice.steps.map((step) => (
                    <li key={step}>{step}</li>
                  ))}
                </ol>
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
