import { RANGES } from '../../api/generated/ranges';
import type { Sensor } from '../../api/types';
import { NumberField } from '../../ui/NumberField';
import { SelectField } from '../../ui/SelectField';
import { TextField } from '../../ui/TextField';

interface Props {
  sensor: Sensor;
  /** The units in which it can be read; none when it can have any. */
  units: readonly string[];
  onUnit: (unit: string) => void;
  onPut: (title: string, member: keyof Sensor, value: unknown) => void;
}

const SUBJECTS = [
  { value: 'other', label: 'what you set here' },
  { value: 'voltage', label: 'a voltage' },
  { value: 'current', label: 'the current' },
  { value: 'charge-used', label: 'the charge used' },
  { value: 'link-quality', label: 'the link quality, up' },
  { value: 'down-link-quality', label: 'the link quality, down' },
  { value: 'strength', label: 'the strength' },
  { value: 'height', label: 'the height' },
  { value: 'distance', label: 'the distance home' },
  { value: 'satellites', label: 'the satellites' },
];

const USUAL = 'usual';

const ORIGINS = [
  { value: USUAL, label: 'whoever usually does' },
  { value: 'board', label: 'the board' },
  { value: 'receiver', label: 'the receiver' },
  { value: 'transmitter', label: 'the transmitter itself' },
];

const ALL = 'all';

const NOWHERE = 'nowhere';
const PAGES = ['1', '2', '3', '4'];

/** The fields of a sensor. */
export function SensorFields({ sensor, units, onUnit, onPut }: Props) {
  const { label, unit = '', gauge } = sensor;
  return (
    <div className="flex flex-wrap items-end gap-x-4 gap-y-3 py-2">
      <TextField label="Sensor" value={label} maxLength={40} onCommit={(v) => onPut(`Sensor ${v}`, 'label', v)} />
      <SelectField
        label="measures"
        value={sensor.measures ?? 'other'}
        options={SUBJECTS}
        onChange={(v) => onPut(`${label} measures ${SUBJECTS.find((s) => s.value === v)?.label}`, 'measures', v)}
      />
      <SelectField
        label="measured by"
        value={sensor.origin ?? USUAL}
        options={ORIGINS}
        onChange={(v) =>
          onPut(
            `${label} is measured by ${ORIGINS.find((o) => o.value === v)?.label}`,
            'origin',
            v === USUAL ? undefined : v,
          )
        }
      />
      {units.length > 1 ? (
        <SelectField
          label="Unit"
          value={unit}
          options={[...new Set([...units, unit])].map((u) => ({ value: u, label: u }))}
          onChange={onUnit}
        />
      ) : (
        <TextField label="Unit" value={unit} maxLength={8} width={4} onCommit={onUnit} />
      )}
      <SelectField
        label="Decimals"
        value={sensor.decimals === undefined || sensor.decimals === null ? ALL : String(sensor.decimals)}
        options={[{ value: ALL, label: 'all that come' }, ...['0', '1', '2', '3'].map((d) => ({ value: d, label: d }))]}
        onChange={(v) => onPut(`${label} with ${v} decimals`, 'decimals', v === ALL ? undefined : Number(v))}
      />
      <NumberField
        label="Lowest meant"
        unit={unit}
        value={sensor.lowest}
        {...RANGES['model.sensors.*.lowest']}
        step={0.1}
        onCommit={(v) => onPut(`${label} from ${v}`, 'lowest', v)}
      />
      <NumberField
        label="Highest meant"
        unit={unit}
        value={sensor.highest}
        {...RANGES['model.sensors.*.highest']}
        step={0.1}
        onCommit={(v) => onPut(`${label} up to ${v}`, 'highest', v)}
      />
      <NumberField
        label="May be off by (0: not known)"
        unit={unit}
        value={sensor.accuracy ?? 0}
        {...RANGES['model.sensors.*.accuracy']}
        step={0.1}
        onCommit={(v) => onPut(`${label} may be off by ${v}`, 'accuracy', v === 0 ? undefined : v)}
      />
      <SelectField
        label="On the display"
        value={gauge ? String(gauge.page ?? 1) : NOWHERE}
        options={[{ value: NOWHERE, label: 'not shown' }, ...PAGES.map((p) => ({ value: p, label: `page ${p}` }))]}
        onChange={(v) =>
          onPut(
            v === NOWHERE ? `${label} is not on the display` : `${label} on page ${v} of the display`,
            'gauge',
            v === NOWHERE ? undefined : { from: sensor.lowest, to: sensor.highest, ...gauge, page: Number(v) },
          )
        }
      />
      {gauge && (
        <>
          <NumberField
            label="Gauge from"
            unit={unit}
            value={gauge.from}
            {...RANGES['model.sensors.*.gauge.from']}
            step={0.1}
            onCommit={(v) => onPut(`Gauge of ${label} from ${v}`, 'gauge', { ...gauge, from: v })}
          />
          <NumberField
            label="Gauge to"
            unit={unit}
            value={gauge.to}
            {...RANGES['model.sensors.*.gauge.to']}
            step={0.1}
            onCommit={(v) => onPut(`Gauge of ${label} to ${v}`, 'gauge', { ...gauge, to: v })}
          />
        </>
      )}
    </div>
  );
}
