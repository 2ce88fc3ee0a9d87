import clsx from 'clsx';
import { useEffect, useRef } from 'react';
import { Link } from 'react-router';
import { answer, api } from '../../api/client';
import { makeEdit } from '../../api/edits';
import { STATION_NAMES } from '../../api/stations';
import type { Sensor, SensorGauge, SensorWay, Setup } from '../../api/types';
import { useBench, useBenchState } from '../../bench/BenchProvider';
import { useFollowedSensor, useHeard } from '../../bench/useReturn';
import { useUnderHand } from '../../bench/useUnderHand';
import { RemoveButton } from '../../edits/RemoveButton';
import type { Changes } from '../../edits/useChanges';
import { Button } from '../../ui/Button';
import { figure } from '../../ui/figures';
import { SensorFields } from './SensorFields';

interface Props {
  craft: string;
  id: string;
  sensor: Sensor;
  setup: Setup;
  way: SensorWay | undefined;
  /** What it measures, in words. */
  measures: string;
  /** The units in which it can be read; none when it can have any. */
  units: readonly string[];
  changes: Changes;
  open: boolean;
  /** True when it was just made: its first field has the focus then. */
  made: boolean;
  onOpen: (open: boolean) => void;
}

const ORIGINS = { transmitter: 'the transmitter', receiver: 'the receiver', board: 'the board' } as const;

/** A sensor: what the transmitter heard of it last and how old that is, what there is at the craft, and, opened, its fields. */
export function SensorRow({ craft, id, sensor, setup, way, measures, units, changes, open, made, onOpen }: Props) {
  const [followed, follow] = useFollowedSensor(setup);
  const row = useRef<HTMLLIElement>(null);
  // With the unit everything changes that is written in it.
  const inUnit = async (unit: string) => {
    const at = { params: { path: { id: craft } }, body: { sensor: id, unit } };
    await changes.edit(await answer(api.POST('/api/setups/{id}/sensor-unit', at)));
  };
  useEffect(() => {
    if (made) row.current?.querySelector<HTMLElement>('input[type=text], input:not([type])')?.focus();
  }, [made]);
  return (
    <li ref={row} className="border-b border-hair py-2">
      <div className="grid grid-cols-[minmax(9rem,1.2fr)_8.5rem_minmax(8rem,1fr)_16rem_auto] items-center gap-x-4 gap-y-1 max-xl:grid-cols-[minmax(9rem,1fr)_8.5rem_auto] max-sm:grid-cols-[1fr_auto]">
        <label className="flex min-h-9 items-start gap-2">
          <input
            type="radio"
            name="followed-sensor"
            className="mt-1 accent-sea"
            checked={followed === id}
            onChange={() => follow(id)}
            aria-label={`Follow ${sensor.label} on the path`}
          />
          <span>
            <b className="wrap-anywhere">{sensor.label}</b>
            <small className="block text-[0.8rem] leading-tight text-soft">
              {measures}
              {way && `, by ${ORIGINS[way.origin]}`}
            </small>
          </span>
        </label>
        <span>
          <Heard id={id} way={way} />
          {sensor.gauge && <Gauge id={id} sensor={sensor} gauge={sensor.gauge} />}
        </span>
        <Standing craft={craft} id={id} sensor={sensor} way={way} />
        <AtTheCraft id={id} sensor={sensor} />
        <span className="flex items-center gap-1 justify-self-end max-xl:order-3 max-xl:row-start-1 max-xl:col-start-3 max-sm:col-start-2">
          <Button
            aria-expanded={open}
            aria-label={`${open ? 'Close' : 'Change'}: ${sensor.label}`}
            onClick={() => onOpen(!open)}
          >
            {open ? 'Close' : 'Change'}
          </Button>
          <RemoveButton place={`/model/sensors/${id}`} name={sensor.label} changes={changes} />
        </span>
      </div>
      {open && (
        <SensorFields
          sensor={sensor}
          units={units}
          onUnit={(unit) => void inUnit(unit)}
          onPut={(title, member, value) =>
            void changes.edit(makeEdit(title, setup, [{ path: ['model', 'sensors', id, member], value }]))
          }
        />
      )}
    </li>
  );
}

/** The last reading, large. */
function Heard({ id, way }: Pick<Props, 'id' | 'way'>) {
  const { words, missed } = useHeard(id, way?.every ?? null);
  return (
    <b
      data-testid={`heard-${id}`}
      className={clsx(
        'block font-mono text-[1.35rem] leading-tight whitespace-nowrap',
        (words === null || missed || way?.obstacle) && 'text-soft',
      )}
    >
      {words ?? '–'}
    </b>
  );
}

/** The bar on the transmitter's display. */
function Gauge({ id, sensor, gauge }: Pick<Props, 'id' | 'sensor'> & { gauge: SensorGauge }) {
  const share = useBenchState(({ message }) => {
    const known = message?.snapshot.sensors[id];
    if (!known || known.heardAt === null) return 0;
    return Math.min(1, Math.max(0, ((message.snapshot.readings[id] ?? 0) - gauge.from) / (gauge.to - gauge.from)));
  });
  const ends = `${figure(gauge.from, 1)} to ${figure(gauge.to, 1)} ${sensor.unit ?? ''}`;
  return (
    <span className="block" title={`On page ${gauge.page ?? 1} of the display, from ${ends}`}>
      <span aria-hidden className="block h-1.5 w-full overflow-hidden rounded-full bg-hair">
        <span className="block h-full bg-sea" style={{ width: `${share * 100}%` }} />
      </span>
      <small className="block text-[0.75rem] leading-tight text-soft">
        {ends}, page {gauge.page ?? 1}
      </small>
    </span>
  );
}

/** How old it is, and the lowest and highest since the reset; or why nothing comes. */
function Standing({ craft, id, sensor, way }: Pick<Props, 'craft' | 'id' | 'sensor' | 'way'>) {
  const { words, age, missed } = useHeard(id, way?.every ?? null);
  const extremes = useBenchState(({ message }) => {
    const known = message?.snapshot.sensors[id];
    return known && known.lowest !== null && known.highest !== null && known.lowest !== known.highest
      ? `${figure(known.lowest, sensor.decimals ?? 2)} to ${figure(known.highest, sensor.decimals ?? 2)}`
      : '';
  });
  if (way?.obstacle)
    return (
      <p className="text-[0.87rem] leading-tight max-xl:col-span-full">
        <b className="text-rust">Does not come.</b> {way.obstacle.words}{' '}
        <Link className="font-semibold whitespace-nowrap underline" to={`/craft/${craft}/${way.obstacle.station}`}>
          {STATION_NAMES[way.obstacle.station]}
        </Link>
      </p>
    );
  return (
    <p className="text-[0.87rem] leading-tight text-soft max-xl:col-span-full">
      {words === null ? 'nothing came yet' : age}
      {missed && words !== null && <b className="text-rust">, missed</b>}
      {extremes !== '' && (
        <span className="block">
          {extremes} {sensor.unit}
        </span>
      )}
    </p>
  );
}

/** What it measures at the craft: to be held by hand, and let go. */
function AtTheCraft({ id, sensor }: Pick<Props, 'id' | 'sensor'>) {
  const { link } = useBench();
  const now = useBenchState((s) => s.message?.snapshot.measured[id] ?? sensor.bench);
  const held = useBenchState((s) => s.message?.snapshot.sensors[id]?.held ?? false);
  const [measured, move] = useUnderHand(now, (reading) => link.report(id, reading));
  return (
    <span className="flex min-w-0 items-center gap-2 max-xl:col-span-full">
      <input
        type="range"
        className="w-full min-w-0 accent-sea"
        aria-label={`${sensor.label} at the craft`}
        aria-valuetext={`${figure(measured, 2)} ${sensor.unit ?? ''}`}
        min={sensor.lowest}
        max={sensor.highest}
        step={(sensor.highest - sensor.lowest) / 200}
        value={measured}
        onChange={(event) => move(Number(event.target.value))}
      />
      <span className="w-20 shrink-0 text-right font-mono text-sm whitespace-nowrap">
        {figure(measured, 1)} {sensor.unit}
      </span>
      {held && (
        <Button
          title="Let the sensor measure again what there is"
          aria-label={`Let go of ${sensor.label}`}
          onClick={() => link.release(id)}
        >
          Let go
        </Button>
      )}
    </span>
  );
}
