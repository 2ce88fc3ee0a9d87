import clsx from 'clsx';
import type { SetupSummary } from '../api/types';
import { STATION_NAMES, STATIONS } from '../api/stations';

/** The path of a craft in small: where on it something is wrong. */
export function CraftPath({ lines }: { lines: SetupSummary['lines'] }) {
  const first = STATIONS.findIndex((s) => lines.some((f) => f.station === s && f.level === 'danger'));
  return (
    <ol className="grid grid-cols-7" aria-label="Path">
      {STATIONS.map((station, i) => {
        const here = lines.filter((f) => f.station === station);
        const wrong = first >= 0 && i >= first;
        return (
          <li key={station} className="text-[0.8rem]">
            <div className="rail" data-mark={wrong ? 'wrong' : 'live'} />
            <span className={clsx('flex items-center gap-1 pt-1', here.length > 0 ? 'font-bold' : 'text-soft')}>
              {STATION_NAMES[station]}
              {here.length > 0 && <span className="sr-only">: {here.map((f) => f.title).join(', ')}</span>}
            </span>
          </li>
        );
      })}
    </ol>
  );
}
