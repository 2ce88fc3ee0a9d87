import { RANGES } from '../../api/generated/ranges';
import { makeEdit } from '../../api/edits';
import type { Control, Setup } from '../../api/types';
import { RemoveButton } from '../../edits/RemoveButton';
import type { Changes } from '../../edits/useChanges';
import { NumberField } from '../../ui/NumberField';
import { SelectField } from '../../ui/SelectField';
import { TextField } from '../../ui/TextField';

interface Props {
  id: string;
  control: Control;
  setup: Setup;
  changes: Changes;
}

const KINDS = [
  { value: 'switch-2', label: 'switch, 2 positions' },
  { value: 'switch-3', label: 'switch, 3 positions' },
  { value: 'switch-4', label: 'switch, 4 positions' },
  { value: 'switch-5', label: 'switch, 5 positions' },
  { value: 'switch-6', label: 'switch, 6 positions' },
  { value: 'button', label: 'button, on while held' },
  { value: 'latching', label: 'button, latching' },
  { value: 'dial', label: 'dial' },
  { value: 'slider', label: 'slider' },
  { value: 'input', label: 'external input' },
];

const PLACES = [
  'left-front',
  'right-front',
  'left-shoulder',
  'right-shoulder',
  'left-back',
  'right-back',
  'socket',
] as const;

/** Everything that the pilot says about a control; what it does is derived. */
export function ControlEditor({ id, control, setup, changes }: Props) {
  const replace = (title: string, value: unknown) =>
    void changes.edit(makeEdit(title, setup, [{ path: ['transmitter', 'controls', id], value }]));
  const put = (title: string, members: Partial<Control>) => replace(title, { ...control, ...members });
  const limit = setup.transmitter.shortNames ?? 0;
  return (
    <>
      <div className="flex flex-wrap gap-3">
        <TextField
          label="Name on the transmitter"
          value={control.label}
          maxLength={40}
          width={18}
          onCommit={(label) => put(`${label} is its name`, { label })}
        />
        <TextField
          label="Your own name"
          value={control.alias ?? ''}
          maxLength={40}
          width={14}
          onCommit={(alias) => put(`${control.label} is called ${alias}`, { alias })}
        />
        <TextField
          label={limit > 0 ? `Short form, ${limit} letters` : 'Short form'}
          value={control.short ?? ''}
          maxLength={15}
          width={12}
          onCommit={(short) => put(`Short form ${short}`, { short })}
        />
      </div>
      {control.kind === 'stick' ? (
        <StartField control={control} onPut={(start) => put(`${control.label} starts at ${start} %`, { start })} />
      ) : (
        <div className="flex flex-wrap items-end gap-3">
          <SelectField
            label="What it is"
            value={kindOf(control)}
            options={KINDS}
            onChange={(kind) => replace(`${control.label} is another kind of control`, become(control, kind))}
          />
          <SelectField
            label="Where it is"
            value={'place' in control ? control.place : ''}
            options={PLACES.map((place) => ({ value: place, label: place.replace('-', ' ') }))}
            onChange={(place) => put(`${control.label} is elsewhere`, { place } as Partial<Control>)}
          />
          {control.kind === 'switch' && (
            <>
              <SelectField
                label="Safe end"
                value={String(control.safe)}
                options={[
                  { value: '1', label: 'away from me' },
                  { value: String(control.positions), label: 'towards me' },
                ]}
                onChange={(safe) => put(`Safe end of ${control.label}`, { safe: Number(safe) })}
              />
              <SelectField
                label="At switch-on"
                value={String(control.start)}
                options={Array.from({ length: control.positions }, (_, i) => ({
                  value: String(i + 1),
                  label:
                    i === 0 ? '1, away from me' : i + 1 === control.positions ? `${i + 1}, towards me` : String(i + 1),
                }))}
                onChange={(start) => put(`${control.label} at switch-on`, { start: Number(start) })}
              />
            </>
          )}
          {control.kind !== 'switch' && control.kind !== 'button' && (
            <StartField control={control} onPut={(start) => put(`${control.label} starts at ${start} %`, { start })} />
          )}
        </div>
      )}
      {control.kind !== 'stick' && (
        <RemoveButton place={`/transmitter/controls/${id}`} name={control.label} changes={changes}>
          Remove the control
        </RemoveButton>
      )}
    </>
  );
}

function StartField({ control, onPut }: { control: Control; onPut: (start: number) => void }) {
  return (
    <NumberField
      label="At switch-on"
      unit="%"
      value={'start' in control ? (control.start ?? 0) : 0}
      {...RANGES['transmitter.controls.*.stick.start']}
      onCommit={onPut}
    />
  );
}

function kindOf(control: Control): string {
  if (control.kind === 'switch') return `switch-${control.positions}`;
  if (control.kind === 'button') return control.latching ? 'latching' : 'button';
  return control.kind ?? '';
}

/** The same control as another kind: its names and its place stay. */
function become(control: Control, kind: string): unknown {
  const { label, alias, short } = control;
  const named = { label, alias, short, place: 'place' in control ? control.place : 'left-front' };
  if (kind.startsWith('switch-'))
    return { kind: 'switch', ...named, positions: Number(kind.slice('switch-'.length)), start: 1, safe: 1 };
  if (kind === 'button' || kind === 'latching') return { kind: 'button', ...named, latching: kind === 'latching' };
  return { kind, ...named, start: 0 };
}
