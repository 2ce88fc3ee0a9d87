import { Zap } from 'lucide-react';
import { Link } from 'react-router';
import { RANGES } from '../../api/generated/ranges';
import { makeEdit } from '../../api/edits';
import type { FlightBattery, Setup, SetupView, WayHome } from '../../api/types';
import { useBench, useBenchState } from '../../bench/BenchProvider';
import { useUnderHand } from '../../bench/useUnderHand';
import { LookAtDrafts } from '../../edits/LookAtDrafts';
import type { Changes } from '../../edits/useChanges';
import { Button } from '../../ui/Button';
import { figure } from '../../ui/figures';
import { NumberField } from '../../ui/NumberField';
import { SecondsField } from '../../ui/SecondsField';
import { SelectField } from '../../ui/SelectField';

interface Props {
  setup: Setup;
  view: SetupView;
  changes: Changes;
}

const CHEMISTRIES = [
  { value: 'lithium-polymer', label: 'lithium polymer, 4.20 V full' },
  { value: 'high-voltage-polymer', label: 'high-voltage polymer, 4.35 V full' },
  { value: 'lithium-ion', label: 'lithium ion, 4.20 V full' },
];

/** The flight battery, what is in it on the bench, and what must be left for the way home. */
export function BatteryPart({ setup, view, changes }: Props) {
  const { battery } = setup.craft;
  return (
    <div className="flex flex-col gap-5">
      {battery ? (
        <>
          <OnTheBench full={view.return.full} />
          <BatteryFields setup={setup} battery={battery} changes={changes} />
          <WayHomePart setup={setup} view={view} changes={changes} />
        </>
      ) : (
        <section aria-label="No battery">
          <p className="mb-2 max-w-[70ch]">
            The flight battery is not written down. With it the bench has one that empties while the craft is armed, and
            an alarm can be held against the way home.
          </p>
          <Button
            look="solid"
            onClick={() =>
              void changes.edit(
                makeEdit('A flight battery', setup, [
                  {
                    path: ['craft', 'battery'],
                    value: { chemistry: 'lithium-polymer', capacity: 1500, cellResistance: 8, fullCurrent: 80 },
                  },
                ]),
              )
            }
          >
            Write down a battery
          </Button>
        </section>
      )}
      <p className="text-soft">
        Alarms are conditions with announcements:{' '}
        <Link className="font-semibold underline" to="../model?part=ready-made" relative="path">
          battery alarm and signal alarm, ready made
        </Link>
        .
      </p>
    </div>
  );
}

function OnTheBench({ full }: { full: number }) {
  const { link } = useBench();
  const battery = useBenchState((s) => s.message?.snapshot.battery ?? null);
  const power = useBenchState((s) => s.message?.snapshot.power ?? false);
  const [left, move] = useUnderHand(Math.round(battery?.left ?? 100), (share) => link.putBattery(share));
  return (
    <section aria-labelledby="on-the-bench">
      <h2 id="on-the-bench" className="text-lg font-bold">
        In the craft on the bench
      </h2>
      <p aria-live="off" className="flex flex-wrap items-baseline gap-x-6">
        <span className="font-mono text-[2.4rem] leading-tight font-extrabold">
          {battery ? battery.voltage.toFixed(2) : '–'} <small className="text-[0.45em] font-semibold">V</small>
        </span>
        <span className="text-soft">
          {battery
            ? `${figure(battery.current, 1)} A · ${figure(battery.used, 0)} mAh used · a full one has ${figure(full, 2)} V`
            : ''}
          {power ? '' : ' · not connected'}
        </span>
      </p>
      <label className="flex max-w-xl items-center gap-3">
        <span className="shrink-0 text-sm text-soft">Charge left</span>
        <input
          type="range"
          className="w-full accent-sea"
          min={0}
          max={100}
          value={left}
          aria-valuetext={`${left} %`}
          onChange={(event) => move(Number(event.target.value))}
        />
        <b className="w-16 shrink-0 text-right font-mono">{left} %</b>
      </label>
      <Button className="mt-1" disabled={!power || battery === null} onClick={() => link.burst()}>
        <Zap size={15} aria-hidden /> Burst of full throttle
      </Button>
      <p className="mt-1 max-w-[75ch] text-sm text-soft">
        By our own model: the voltage of a resting cell, less current times resistance. Current rises with the square of
        the throttle while the craft is armed; a burst lets it flow as at full throttle for two seconds, and nothing
        turns.
      </p>
    </section>
  );
}

function BatteryFields({ setup, battery, changes }: { setup: Setup; battery: FlightBattery; changes: Changes }) {
  const put = (title: string, member: keyof FlightBattery, value: unknown) =>
    void changes.edit(makeEdit(title, setup, [{ path: ['craft', 'battery', member], value }]));
  return (
    <section aria-labelledby="battery">
      <h2 id="battery" className="mb-1 text-lg font-bold">
        Battery: {setup.craft.cells} cells
      </h2>
      <LookAtDrafts changes={changes}>
        <div className="flex flex-wrap items-end gap-x-5 gap-y-3">
          <SelectField
            label="Cells are"
            value={battery.chemistry ?? 'lithium-polymer'}
            options={CHEMISTRIES}
            onChange={(v) => put(`Cells of ${CHEMISTRIES.find((c) => c.value === v)?.label}`, 'chemistry', v)}
          />
          <NumberField
            label="Holds"
            unit="mAh"
            value={battery.capacity}
            {...RANGES['craft.battery.capacity']}
            step={50}
            onCommit={(v) => put(`Battery of ${v} mAh`, 'capacity', v)}
          />
          <NumberField
            label="Resistance of a cell"
            unit="mΩ"
            value={battery.cellResistance ?? 8}
            {...RANGES['craft.battery.cellResistance']}
            step={0.5}
            onCommit={(v) => put(`Cells of ${v} mΩ`, 'cellResistance', v)}
          />
          <NumberField
            label="At full throttle flow"
            unit="A"
            value={battery.fullCurrent}
            {...RANGES['craft.battery.fullCurrent']}
            step={1}
            onCommit={(v) => put(`${v} A at full throttle`, 'fullCurrent', v)}
          />
        </div>
      </LookAtDrafts>
    </section>
  );
}

const USUAL_WAY: WayHome = { distance: 300, speed: 12, wind: 4, height: 40, descent: 2, reserve: 30_000, current: 15 };

function WayHomePart({ setup, view, changes }: Props) {
  const way = setup.craft.wayHome;
  const { lead } = view.return;
  const put = (title: string, member: keyof WayHome, value: unknown) =>
    void changes.edit(makeEdit(title, setup, [{ path: ['craft', 'wayHome', member], value }]));
  const number = (member: Exclude<keyof WayHome, 'reserve'>, label: string, unit: string, step: number) => (
    <NumberField
      label={label}
      unit={unit}
      value={way?.[member] ?? USUAL_WAY[member]!}
      {...RANGES[`craft.wayHome.${member}`]}
      step={step}
      onCommit={(v) => put(`${label} ${v} ${unit}`, member, v)}
    />
  );
  return (
    <section aria-labelledby="way-home">
      <h2 id="way-home" className="text-lg font-bold">
        {lead
          ? `The way home needs ${figure(lead.share, 0)} % of the battery`
          : way
            ? 'Against this wind the craft never comes home'
            : 'The way home'}
      </h2>
      {lead && (
        <p className="mb-2 max-w-[75ch]">
          {figure(lead.time / 1000, 0)} s and {figure(lead.charge, 0)} mAh: distance / (speed − wind) + height / descent
          + reserve. An alarm must speak above{' '}
          <b className="font-mono text-lg whitespace-nowrap">{figure(lead.voltage, 2)} V</b> under that current.
        </p>
      )}
      {way ? (
        <LookAtDrafts changes={changes}>
          <div className="flex flex-wrap items-end gap-x-5 gap-y-3">
            {number('distance', 'Distance', 'm', 50)}
            {number('speed', 'Speed', 'm/s', 1)}
            {number('wind', 'Wind against it', 'm/s', 1)}
            {number('height', 'Height', 'm', 10)}
            {number('descent', 'Descent', 'm/s', 0.5)}
            <SecondsField
              label="Reserve"
              value={way.reserve ?? 30_000}
              {...RANGES['craft.wayHome.reserve']}
              onCommit={(v) => put(`Reserve ${v / 1000} s`, 'reserve', v)}
            />
            {number('current', 'Current on the way', 'A', 1)}
          </div>
        </LookAtDrafts>
      ) : (
        <Button
          className="mt-1"
          onClick={() =>
            void changes.edit(makeEdit('A way home', setup, [{ path: ['craft', 'wayHome'], value: USUAL_WAY }]))
          }
        >
          Write down the longest way home
        </Button>
      )}
    </section>
  );
}
