import clsx from 'clsx';
import type { ReactNode } from 'react';
import { NavLink } from 'react-router';
import type { Finding, Station, TraceStop } from '../api/types';
import { useBenchState } from '../bench/BenchProvider';
import { markOf, STATION_NAMES, STATIONS } from '../api/stations';

interface Props {
  setup: string;
  findings: readonly Finding[];
  /** What stands at the end of the path. */
  end: ReactNode;
}

/** The path as navigation: the followed value at every station, and a mark where something is wrong. */
export function PathRibbon({ setup, findings, end }: Props) {
  const stops = useBenchState((s) => s.message?.snapshot.trace.stops ?? []);
  return (
    <nav aria-label="Path" className="border-b border-line bg-sheet px-3">
      <ol className="grid grid-cols-[repeat(6,minmax(0,1fr))_9.5rem] max-md:grid-cols-3">
        {STATIONS.map((station) => (
          <li key={station} className="min-w-0">
            <Gate
              setup={setup}
              station={station}
              stop={stops.find((s) => s.station === station)}
              open={findings.filter((f) => f.station === station && f.justification === null)}
            />
          </li>
        ))}
        <li className="min-w-0 max-md:col-span-3">{end}</li>
      </ol>
    </nav>
  );
}

function Gate({
  setup,
  station,
  stop,
  open,
}: {
  setup: string;
  station: Station;
  stop: TraceStop | undefined;
  open: Finding[];
}) {
  const danger = open.some((f) => f.severity === 'danger');
  return (
    <NavLink
      to={`/craft/${setup}/${station}`}
      className={({ isActive }) => clsx('block h-full py-2', isActive ? 'bg-sea-wash' : 'hover:bg-paper')}
    >
      <h2 className="flex h-6 items-center gap-2 px-3 text-[0.93rem] font-bold">
        {STATION_NAMES[station]}
        {open.length > 0 && (
          <span
            className={clsx(
              'rounded-sm border px-1.5 text-xs font-bold whitespace-nowrap',
              danger ? 'border-rust bg-rust text-sheet' : 'border-ochre text-ochre',
            )}
          >
            {open.length} <span className="max-md:sr-only">{danger ? 'wrong' : 'to check'}</span>
          </span>
        )}
      </h2>
      <div className="rail mt-1.5" data-mark={stop?.mark ?? 'ended'} />
      <p
        data-testid={`at-${station}`}
        className={clsx(
          'truncate px-3 pt-1.5 text-[2.05rem] leading-none font-extrabold tracking-tight max-md:text-[1.5rem]',
          stop?.mark === 'wrong' && 'text-rust',
          stop?.mark === 'ended' && 'text-soft',
        )}
      >
        {stop?.figure ?? '–'}
        <small className="ml-1 text-[0.45em] font-semibold tracking-normal">{stop?.unit}</small>
      </p>
      <p className="min-h-9 px-3 pt-1 text-[0.8rem] leading-tight text-soft max-md:text-[0.73rem]">
        {stop && markOf(stop) && <b className={stop.mark === 'wrong' ? 'text-rust' : ''}>{markOf(stop)}: </b>}
        {stop?.note}
      </p>
    </NavLink>
  );
}
