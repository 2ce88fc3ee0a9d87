import { RANGES } from '../../../api/generated/ranges';
import { Plus } from 'lucide-react';
import { freeId, makeEdit } from '../../../api/edits';
import { listed } from '../../../api/listed';
import type { Setup, SetupView } from '../../../api/types';
import { useBench, useBenchState } from '../../../bench/BenchProvider';
import { useUnderHand } from '../../../bench/useUnderHand';
import { RemoveButton } from '../../../edits/RemoveButton';
import type { Changes } from '../../../edits/useChanges';
import { Button } from '../../../ui/Button';
import { NumberField } from '../../../ui/NumberField';
import { SelectField } from '../../../ui/SelectField';
import { TextField } from '../../../ui/TextField';

interface Props {
  setup: Setup;
  view: SetupView;
  changes: Changes;
}

const rounded = (reading: number) => Math.round(reading * 10) / 10;

type Sensor = NonNullable<Setup['model']['sensors']>[string];

/** What a sensor measures at the craft, to be moved by hand, and what the transmitter heard of it last where that differs. */
function AtTheCraft(props: { id: string; sensor: Sensor; measured: number; heard: number }) {
  const { id, sensor, heard } = props;
  const { link } = useBench();
  const [measured, move] = useUnderHand(props.measured, (reading) => link.report(id, reading));
  return (
    <label className="flex flex-col gap-0.5 text-sm text-soft">
      {rounded(heard) === rounded(measured)
        ? 'measured at the craft now'
        : `at the craft; last heard: ${rounded(heard)} ${sensor.unit ?? ''}`}
      <span className="flex h-8 items-center gap-2">
        <input
          type="range"
          className="w-36 accent-sea"
          aria-label={`${sensor.label} at the craft`}
          min={sensor.lowest}
          max={sensor.highest}
          step={(sensor.highest - sensor.lowest) / 200}
          value={measured}
          onChange={(event) => move(Number(event.target.value))}
        />
        <b className="w-20 font-mono text-ink">
          {rounded(measured)} {sensor.unit}
        </b>
      </span>
    </label>
  );
}

/** The telemetry that conditions can ask for, each with a reading at the craft that can be moved. */
export function SensorTable({ setup, view, changes }: Props) {
  const heard = useBenchState((s) => s.message?.snapshot.readings ?? {});
  const measured = useBenchState((s) => s.message?.snapshot.measured ?? {});
  const missed = useBenchState((s) => s.message?.snapshot.telemetryLost ?? false);
  const sensors = listed(setup.model.sensors);
  const put = (title: string, id: string, member: string, value: unknown) =>
    void changes.edit(makeEdit(title, setup, [{ path: ['model', 'sensors', id, member], value }]));
  return (
    <section aria-labelledby="telemetry">
      <h2 id="telemetry" className="text-lg font-bold">
        Telemetry and trims
      </h2>
      <p className="text-soft">
        {setup.air.telemetry === false
          ? 'This link brings no telemetry.'
          : missed
            ? 'The transmitter misses telemetry: link or battery is off, or the packets do not come.'
            : 'Move a reading to see what the conditions make of it.'}
      </p>
      <ul>
        {sensors.map(([id, sensor]) => {
          const reading = measured[id] ?? sensor.bench;
          const known = heard[id] ?? reading;
          return (
            <li key={id} className="flex flex-wrap items-end gap-x-3 gap-y-2 border-b border-hair py-2">
              <TextField
                label="Sensor"
                value={sensor.label}
                maxLength={40}
                onCommit={(v) => put(`Sensor ${v}`, id, 'label', v)}
              />
              <TextField
                label="Unit"
                value={sensor.unit ?? ''}
                maxLength={8}
                width={4}
                onCommit={(v) => put(`${sensor.label} in ${v}`, id, 'unit', v)}
              />
              <NumberField
                label="means"
                unit="to"
                value={sensor.lowest}
                {...RANGES['model.sensors.*.lowest']}
                step={0.1}
                onCommit={(v) => put(`${sensor.label} from ${v}`, id, 'lowest', v)}
              />
              <NumberField
                quiet
                label={`Highest ${sensor.label}`}
                unit={sensor.unit ?? ''}
                value={sensor.highest}
                {...RANGES['model.sensors.*.highest']}
                step={0.1}
                onCommit={(v) => put(`${sensor.label} up to ${v}`, id, 'highest', v)}
              />
              <SelectField
                label="measures"
                value={sensor.measures ?? 'other'}
                options={[
                  { value: 'other', label: 'what you set here' },
                  { value: 'link-quality', label: 'the link quality' },
                  { value: 'strength', label: 'the strength' },
                ]}
                onChange={(v) => put(`${sensor.label} measures ${v}`, id, 'measures', v)}
              />
              <AtTheCraft id={id} sensor={sensor} measured={reading} heard={known} />
              <RemoveButton place={`/model/sensors/${id}`} name={sensor.label} changes={changes} />
            </li>
          );
        })}
      </ul>
      <div className="mt-2 flex flex-wrap items-end gap-4">
        <Button
          onClick={() =>
            void changes.edit(
              makeEdit('Add a sensor', setup, [
                {
                  path: ['model', 'sensors', freeId('sensor', setup.model.sensors ?? {})],
                  value: { label: 'New sensor', unit: '', lowest: 0, highest: 100, bench: 50 },
                },
              ]),
            )
          }
        >
          <Plus size={15} aria-hidden /> Sensor
        </Button>
        {view.controls
          .filter((c) => c.kind === 'stick')
          .map((stick) => (
            <NumberField
              key={stick.id}
              label={`Trim of ${stick.name}`}
              unit="%"
              value={setup.model.trims?.[stick.id] ?? 0}
              {...RANGES['model.trims.*']}
              step={0.5}
              onCommit={(v) =>
                void changes.edit(
                  makeEdit(`Trim of ${stick.name} at ${v} %`, setup, [
                    { path: ['model', 'trims', stick.id], value: v === 0 ? undefined : v },
                  ]),
                )
              }
            />
          ))}
      </div>
    </section>
  );
}
