import { X } from 'lucide-react';
import { RANGES } from '../../../api/generated/ranges';
import { listed } from '../../../api/listed';
import type { FlightTimer, Setup, SetupView } from '../../../api/types';
import { Button } from '../../../ui/Button';
import { EnabledBox } from '../../../ui/EnabledBox';
import { SecondsField } from '../../../ui/SecondsField';
import { SelectField } from '../../../ui/SelectField';
import { TextField } from '../../../ui/TextField';
import { CallField } from './CallField';
import { flightTime } from '../flights/times';

interface Props {
  timer: FlightTimer;
  setup: Setup;
  view: SetupView;
  onPut: (title: string, timer: FlightTimer) => void;
}

/** So long a timer that was told to count down does at first, in milliseconds. */
const FIRST_FROM = 180_000;

/** The fields of a timer. */
export function TimerFields({ timer, setup, view, onPut }: Props) {
  const { label, calls = [], reset } = timer;
  const conditions = listed(setup.model.conditions).map(([value, c]) => ({ value, label: `“${c.label}”` }));
  const name = (id: string) => setup.model.conditions?.[id]?.label ?? id;
  const travelling = view.controls.filter((c) => c.kind === 'stick' || c.kind === 'dial' || c.kind === 'slider');
  return (
    <div className="flex flex-wrap items-end gap-x-5 gap-y-3 pt-3">
      <TextField
        label="What it measures"
        value={label}
        maxLength={30}
        width={14}
        onCommit={(v) => onPut(`${label} is called ${v}`, { ...timer, label: v })}
      />
      <SelectField
        label="Counts while"
        value={timer.while ?? ''}
        options={[{ value: '', label: 'never: nothing starts it' }, ...conditions]}
        onChange={(v) =>
          onPut(v === '' ? `Nothing starts ${label}` : `${label} counts while “${name(v)}” holds`, {
            ...timer,
            while: v === '' ? undefined : v,
          })
        }
      />
      <SelectField
        label="A second counts"
        value={timer.weight ?? ''}
        options={[
          { value: '', label: 'whole' },
          ...travelling.map((c) => ({ value: c.id, label: `as far as ${c.name} is up` })),
        ]}
        onChange={(v) =>
          onPut(v === '' ? `${label} counts whole seconds` : `${label} weighted by a control`, {
            ...timer,
            weight: v === '' ? undefined : v,
          })
        }
      />
      <SelectField
        label="It counts"
        value={timer.from ? 'down' : 'up'}
        options={[
          { value: 'up', label: 'up' },
          { value: 'down', label: 'down' },
        ]}
        onChange={(v) => onPut(`${label} counts ${v}`, { ...timer, from: v === 'down' ? FIRST_FROM : undefined })}
      />
      {timer.from && (
        <SecondsField
          label="from"
          value={timer.from}
          {...RANGES['model.timers.*.from']}
          onCommit={(v) => onPut(`${label} from ${flightTime(v)}`, { ...timer, from: v })}
        />
      )}
      <div role="group" aria-label="Calls" className="flex flex-wrap items-end gap-1.5">
        {calls.map((call, i) => (
          <Button
            // Two calls may be the same.
            key={`${call}-${i}`}
            aria-label={`Call at ${flightTime(call)} no more`}
            onClick={() =>
              onPut(`${label} calls no more at ${flightTime(call)}`, {
                ...timer,
                calls: calls.filter((_, n) => n !== i),
              })
            }
          >
            <span className="font-mono">{flightTime(call)}</span> <X size={13} aria-hidden />
          </Button>
        ))}
        <CallField
          onAdd={(call) => onPut(`${label} calls at ${flightTime(call)}`, { ...timer, calls: [...calls, call] })}
        />
      </div>
      <SelectField
        label="Begins anew when"
        value={reset?.when ?? ''}
        options={[{ value: '', label: 'nothing resets it' }, ...conditions]}
        onChange={(v) =>
          onPut(v === '' ? `Nothing resets ${label}` : `${label} is reset by “${name(v)}”`, {
            ...timer,
            reset: v === '' ? undefined : { ...reset, when: v },
          })
        }
      />
      {reset && (
        <>
          <EnabledBox
            enabled={reset.readings === true}
            neutral
            words={['lowest and highest readings too', 'lowest and highest readings stay']}
            onChange={(v) =>
              onPut(`${label} ${v ? 'resets' : 'leaves'} the readings`, { ...timer, reset: { ...reset, readings: v } })
            }
          />
          <EnabledBox
            enabled={reset.enabled !== false}
            words={['reset enabled', 'reset not enabled']}
            onChange={(v) =>
              onPut(`The reset of ${label} ${v ? 'enabled' : 'not enabled'}`, {
                ...timer,
                reset: { ...reset, enabled: v },
              })
            }
          />
        </>
      )}
    </div>
  );
}
