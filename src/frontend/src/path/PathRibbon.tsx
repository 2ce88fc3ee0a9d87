import clsx from 'clsx';
import { ChevronDown, ChevronUp } from 'lucide-react';
import type { ReactNode } from 'react';
import { NavLink } from 'react-router';
import type { Finding, PathAhead, Setup, SetupView, Station, TraceStop } from '../api/types';
import { useBenchState } from '../bench/BenchProvider';
import { useReturnStop } from '../bench/useReturn';
import { markOf, STATION_NAMES, STATIONS } from '../api/stations';

interface Props {
  id: string;
  setup: Setup;
  /** How the readings of its sensors come. */
  ways: SetupView['return']['sensors'];
  findings: readonly Finding[];
  /** The station that is open; undefined on other pages. */
  here: Station | undefined;
  /** True when it is one line. */
  folded: boolean;
  onFold: (folded: boolean) => void;
  /** The path as it is and as it would be after an edit that is looked at. */
  ahead: PathAhead | undefined;
  /** What stands at the end of the path. */
  end: ReactNode;
}

/** The path as navigation: the followed value at every station, and a mark where something is wrong. */
export function PathRibbon({ id, setup, ways, findings, here, folded, onFold, ahead, end }: Props) {
  const live = useBenchState((s) => s.message?.snapshot.trace.stops ?? []);
  const drawn = ahead?.changes ? ahead : undefined;
  const back = useReturnStop(setup, ways);
  const stops = [...(drawn?.before.stops ?? live), back];
  const Icon = folded ? ChevronDown : ChevronUp;
  return (
    <nav
      aria-label="Path"
      data-ahead={drawn && 'true'}
      className="relative shrink-0 border-b border-line bg-sheet pr-9 pl-3 data-ahead:border-b-2 data-ahead:border-dashed data-ahead:border-sea max-lg:pr-3"
    >
      <ol className="grid grid-cols-[repeat(7,minmax(0,1fr))_9.5rem] max-md:grid-cols-8">
        {STATIONS.map((station) => (
          <li key={station} className="min-w-0">
            <Gate
              setup={id}
              station={station}
              stop={stops.find((s) => s.station === station)}
              next={station === 'return' ? undefined : drawn?.after.stops.find((s) => s.station === station)}
              open={findings.filter((f) => f.station === station && f.justification === null)}
              folded={folded}
            />
          </li>
        ))}
        <li className="min-w-0">{end}</li>
      </ol>
      <Here stop={stops.find((s) => s.station === here)} />
      <button
        type="button"
        aria-expanded={!folded}
        aria-label="The path in full"
        title={folded ? 'The path in full (Alt+P)' : 'The path in one line (Alt+P)'}
        className="absolute top-1 right-1 grid size-7 place-items-center rounded hover:bg-hair max-lg:hidden"
        onClick={() => onFold(!folded)}
      >
        <Icon size={17} aria-hidden />
      </button>
    </nav>
  );
}

/** On a phone: the followed value at the station that is open, or where it goes wrong. */
function Here({ stop }: { stop: TraceStop | undefined }) {
  const followed = useBenchState((s) => s.message?.snapshot.trace.name ?? '');
  if (!stop) return null;
  const name = stop.station === 'return' ? '' : `${followed} at `;
  return (
    <p className="truncate pb-1.5 text-[0.87rem] md:hidden">
      {name}
      {STATION_NAMES[stop.station]}:{' '}
      <b className={toneOf(stop)}>
        {stop.figure} {stop.unit}
      </b>{' '}
      <span className="text-soft">{stop.note}</span>
    </p>
  );
}

interface GateProps {
  setup: string;
  station: Station;
  stop: TraceStop | undefined;
  /** What it would be after an edit that is looked at. */
  next: TraceStop | undefined;
  open: Finding[];
  folded: boolean;
}

function Gate({ setup, station, stop, next, open, folded }: GateProps) {
  return (
    <NavLink
      to={`/craft/${setup}/${station}`}
      className={({ isActive }) =>
        clsx('block h-full', folded ? 'pt-1.5 pb-2' : 'py-2', isActive ? 'bg-sea-wash' : 'hover:bg-paper')
      }
    >
      {folded ? (
        <Line station={station} stop={stop} next={next} open={open} />
      ) : (
        <Full station={station} stop={stop} next={next} open={open} />
      )}
    </NavLink>
  );
}

type StopProps = Omit<GateProps, 'setup' | 'folded'>;

/** A station in one line: its rail, its name, its value. */
function Line({ station, stop, next, open }: StopProps) {
  return (
    <>
      <div className="rail" data-mark={(next ?? stop)?.mark ?? 'ended'} />
      <p className="flex items-baseline gap-1.5 overflow-hidden px-2 pt-0.5 whitespace-nowrap max-xl:gap-1 max-lg:min-h-9 max-lg:flex-wrap max-md:px-0.5">
        <span role="heading" aria-level={2} className="text-[0.84rem] font-bold">
          {STATION_NAMES[station]}
        </span>
        {next ? <Was stop={stop} next={next} /> : <Marks open={open} short />}
        <span
          data-testid={`at-${station}`}
          title={stop && `${stop.figure} ${stop.unit}`}
          className={clsx(
            'ml-auto truncate font-mono text-[0.93rem] font-bold max-lg:ml-0 max-lg:basis-full max-md:sr-only',
            toneOf(stop),
          )}
        >
          {stop && markOf(stop) && <span className="sr-only">{markOf(stop)}: </span>}
          {(next ?? stop)?.figure ?? '–'} <small className="text-[0.8em] font-normal">{(next ?? stop)?.unit}</small>
        </span>
      </p>
    </>
  );
}

function Full({ station, stop, next, open }: StopProps) {
  const shown = next ?? stop;
  return (
    <>
      <h2 className="flex h-6 items-center gap-2 px-3 text-[0.93rem] font-bold">
        {STATION_NAMES[station]}
        {next ? <Was stop={stop} next={next} /> : <Marks open={open} />}
      </h2>
      <div className="rail mt-1.5" data-mark={(next ?? stop)?.mark ?? 'ended'} />
      <p
        data-testid={`at-${station}`}
        className={clsx(
          'truncate px-3 pt-1.5 text-[2.05rem] leading-none font-extrabold tracking-tight max-md:text-[1.5rem]',
          toneOf(shown),
        )}
      >
        {shown?.figure ?? '–'}
        <small className="ml-1 text-[0.45em] font-semibold tracking-normal">{shown?.unit}</small>
      </p>
      <p className="min-h-9 px-3 pt-1 text-[0.8rem] leading-tight text-soft max-md:text-[0.73rem]">
        {shown && markOf(shown) && <b className={shown.mark === 'wrong' ? 'text-rust' : ''}>{markOf(shown)}: </b>}
        {shown?.note}
      </p>
    </>
  );
}

/** What stands there now, where it would be another. */
function Was({ stop, next }: Pick<GateProps, 'stop' | 'next'>) {
  if (!stop || !next || (stop.figure === next.figure && stop.unit === next.unit)) return null;
  return (
    <span className="ml-auto truncate text-[0.87rem] font-semibold text-soft">
      <span className="sr-only">now </span>
      <s>
        {stop.figure} {stop.unit}
      </s>
      <span aria-hidden> →</span>
    </span>
  );
}

/** How many findings are open at a station: dangers, and what is to be checked. */
function Marks({ open, short = false }: { open: Finding[]; short?: boolean }) {
  const dangers = open.filter((f) => f.severity === 'danger').length;
  const checks = open.length - dangers;
  return (
    <>
      {dangers > 0 && (
        <Mark
          count={dangers}
          words={dangers === 1 ? 'danger' : 'dangers'}
          look="border-rust bg-rust text-sheet"
          short={short}
        />
      )}
      {/* A line has room for the worst. */}
      {checks > 0 && !(short && dangers > 0) && (
        <Mark count={checks} words="to check" look="border-ochre text-ochre" short={short || dangers > 0} />
      )}
    </>
  );
}

function Mark({ count, words, look, short }: { count: number; words: string; look: string; short: boolean }) {
  return (
    <span
      title={`${count} ${words}`}
      className={clsx('rounded-sm border px-1.5 text-xs font-bold whitespace-nowrap max-md:px-1', look)}
    >
      {count} <span className={short ? 'sr-only' : 'max-md:sr-only'}>{words}</span>
    </span>
  );
}

function toneOf(stop: TraceStop | undefined): string {
  if (stop?.mark === 'wrong') return 'text-rust';
  return stop?.mark === 'ended' ? 'text-soft' : '';
}
