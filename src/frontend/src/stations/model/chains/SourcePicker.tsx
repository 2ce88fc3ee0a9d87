import { RANGES } from '../../../api/generated/ranges';
import { listed, nameOf } from '../../../api/listed';
import type { Setup, Source } from '../../../api/types';
import { NumberField } from '../../../ui/NumberField';
import { SelectField, type Option } from '../../../ui/SelectField';

interface Props {
  label: string;
  setup: Setup;
  value: Source;
  quiet?: boolean;
  /** True where many stand below each other. */
  dense?: boolean;
  /** A channel that cannot be taken, because it is the one that takes. */
  except?: string;
  onChange: (source: Source) => void;
}

const CONSTANT = 'constant:';

/** Chooses where a value is taken from: a control, a channel, a condition, a sensor, or a fixed value. */
export function SourcePicker({ label, setup, value, quiet, dense, except, onChange }: Props) {
  return (
    <span className="flex flex-wrap items-end gap-2">
      <SelectField
        quiet={quiet}
        dense={dense}
        label={label}
        value={write(value)}
        options={sourceOptions(setup, except)}
        onChange={(text) => onChange(read(text))}
      />
      {value.kind === 'constant' && (
        <NumberField
          quiet
          dense={dense}
          label={`${label}: fixed value`}
          unit="%"
          value={value.value}
          {...RANGES['model.channels.*.take.constant.value']}
          step={0.1}
          onCommit={(number) => onChange({ kind: 'constant', value: number })}
        />
      )}
    </span>
  );
}

function sourceOptions(setup: Setup, except?: string): Option[] {
  const { model, transmitter } = setup;
  const named = (kind: string, group: string, items: [string, string][]) =>
    items.map(([id, label]) => ({ value: `${kind}:${id}`, label, group }));
  return [
    ...named(
      'control',
      'Controls',
      listed(transmitter.controls).map(([id, c]) => [id, nameOf(c)]),
    ),
    ...named(
      'channel',
      'Channels, before their output stage',
      Object.entries(model.channels)
        .filter(([id]) => id !== except)
        .sort(([, a], [, b]) => a.number - b.number)
        .map(([id, c]) => [id, `${c.number} ${c.label}`]),
    ),
    ...named(
      'condition',
      'Conditions: +100 % while they hold',
      listed(model.conditions).map(([id, c]) => [id, c.label]),
    ),
    ...named(
      'sensor',
      'Telemetry',
      listed(model.sensors).map(([id, s]) => [id, s.label]),
    ),
    { value: CONSTANT, label: 'a fixed value', group: 'Fixed' },
  ];
}

function write(source: Source): string {
  switch (source.kind) {
    case 'control':
      return `control:${source.control}`;
    case 'channel':
      return `channel:${source.channel}`;
    case 'condition':
      return `condition:${source.condition}`;
    case 'sensor':
      return `sensor:${source.sensor}`;
    default:
      return CONSTANT;
  }
}

function read(text: string): Source {
  const id = text.slice(text.indexOf(':') + 1);
  if (text.startsWith('control:')) return { kind: 'control', control: id };
  if (text.startsWith('channel:')) return { kind: 'channel', channel: id };
  if (text.startsWith('condition:')) return { kind: 'condition', condition: id };
  if (text.startsWith('sensor:')) return { kind: 'sensor', sensor: id };
  return { kind: 'constant', value: 0 };
}
