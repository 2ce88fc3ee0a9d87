import { Plus, Trash2 } from 'lucide-react';
import { freeId, makeEdit } from '../../api/edits';
import type { RadioModule, ReceiverUnit, Setup } from '../../api/types';
import type { Changes } from '../../edits/useChanges';
import { Button } from '../../ui/Button';
import { EnabledBox } from '../../ui/EnabledBox';
import { SelectField } from '../../ui/SelectField';
import { TextField } from '../../ui/TextField';

/** The transmitter's radio modules and the receiver that one of them must understand. */
export function ModuleTable({ setup, changes }: { setup: Setup; changes: Changes }) {
  const modules = Object.entries(setup.air.modules ?? {}).sort(([a], [b]) => a.localeCompare(b));
  const receiver = setup.air.receiver ?? {};
  const put = (title: string, path: string[], value: unknown) =>
    void changes.edit(makeEdit(title, setup, [{ path: ['air', ...path], value }]));
  const putReceiver = (title: string, change: Partial<ReceiverUnit>) =>
    put(title, ['receiver'], { ...receiver, ...change });
  const add = () => {
    const made: RadioModule = {
      label: modules.length === 0 ? 'Built in' : 'In the bay',
      place: modules.length === 0 ? 'built-in' : 'plug-in',
      on: modules.length === 0,
    };
    put(`${made.label}: a radio module`, ['modules', freeId(made.label, setup.air.modules ?? {})], made);
  };
  return (
    <fieldset className="mb-4">
      <legend className="mb-2 w-full border-b-2 border-ink pb-1 text-[0.84rem] font-semibold text-soft">
        Exactly one module is on, and it speaks what the receiver is
      </legend>
      <ul>
        {modules.map(([id, made]) => (
          <li key={id} aria-label={made.label} className="mb-2 flex flex-wrap items-end gap-x-4 gap-y-2">
            <TextField
              label="Module"
              value={made.label}
              maxLength={40}
              width={12}
              onCommit={(v) => put(`The module is called ${v}`, ['modules', id, 'label'], v)}
            />
            <EnabledBox
              enabled={made.on}
              words={['on', 'off']}
              neutral
              onChange={(on) => put(`${made.label} ${on ? 'on' : 'off'}`, ['modules', id, 'on'], on)}
            />
            <TextField
              label="Family"
              value={made.family ?? ''}
              maxLength={40}
              width={11}
              onCommit={(v) => put(`${made.label} speaks ${v}`, ['modules', id, 'family'], v)}
            />
            <TextField
              label="Sub-family"
              value={made.subFamily ?? ''}
              maxLength={40}
              width={11}
              onCommit={(v) => put(`${made.label} speaks ${v}`, ['modules', id, 'subFamily'], v)}
            />
            <SelectField
              label="Place"
              value={made.place ?? 'built-in'}
              options={[
                { value: 'built-in', label: 'built in' },
                { value: 'plug-in', label: 'plugged in' },
              ]}
              onChange={(v) => put(`${made.label} is ${v}`, ['modules', id, 'place'], v)}
            />
            <Button
              look="bare"
              aria-label={`Remove ${made.label}`}
              onClick={() => put(`Without ${made.label}`, ['modules', id], undefined)}
            >
              <Trash2 size={15} aria-hidden />
            </Button>
          </li>
        ))}
      </ul>
      <Button onClick={add}>
        <Plus size={15} aria-hidden /> Radio module
      </Button>
      <div className="mt-3 flex flex-wrap items-end gap-x-4 gap-y-2" role="group" aria-label="Receiver">
        <TextField
          label="Receiver"
          value={receiver.label ?? ''}
          maxLength={40}
          width={12}
          onCommit={(label) => putReceiver(`The receiver is called ${label}`, { label })}
        />
        <SelectField
          label="It is"
          value={receiver.inBoard ? 'board' : 'own'}
          options={[
            { value: 'own', label: 'soldered to a port' },
            { value: 'board', label: 'part of the board' },
          ]}
          onChange={(v) => putReceiver('Where the receiver is', { inBoard: v === 'board' })}
        />
        <TextField
          label="Its family"
          value={receiver.family ?? ''}
          maxLength={40}
          width={11}
          onCommit={(family) => putReceiver(`The receiver is ${family}`, { family })}
        />
        <TextField
          label="Its sub-family"
          value={receiver.subFamily ?? ''}
          maxLength={40}
          width={11}
          onCommit={(subFamily) => putReceiver(`The receiver is ${subFamily}`, { subFamily })}
        />
        <SelectField
          label="Receiver number"
          value={receiver.number === undefined || receiver.number === null ? 'none' : String(receiver.number)}
          options={[
            { value: 'none', label: 'has none' },
            { value: '0', label: '00, shared by several craft' },
            ...Array.from({ length: 63 }, (_, i) => ({
              value: String(i + 1),
              label: `${String(i + 1).padStart(2, '0')}, this craft's own`,
            })),
          ]}
          onChange={(v) => putReceiver(`Receiver number ${v}`, { number: v === 'none' ? undefined : Number(v) })}
        />
      </div>
      {receiver.number === 0 && (
        <p className="mt-1 text-sm text-soft">
          Every craft that is bound to number 00 answers to this model. With a number of its own, a wrong model cannot
          fly it.
        </p>
      )}
    </fieldset>
  );
}
