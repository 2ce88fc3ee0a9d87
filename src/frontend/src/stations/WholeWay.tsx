import clsx from 'clsx';
import { useEffect } from 'react';
import type { Station } from '../api/types';
import { useBench, useBenchState } from '../bench/BenchProvider';
import { STATION_NAMES } from '../api/stations';

/** The sums that lead the followed control from hands to craft, line by line. */
export function WholeWay({ station }: { station: Station }) {
  const { link } = useBench();
  const [trace, back] = useBenchState((s) => [s.message?.snapshot.trace ?? null, s.back !== null]);
  useEffect(() => {
    link.showWorkings(true);
    return () => link.showWorkings(false);
  }, [link]);
  return (
    <>
      <h2 className="border-b-2 border-ink pb-1 text-[0.84rem] font-semibold text-soft">The whole way, sum by sum</h2>
      {back && trace?.stops.every((each) => each.working.length === 0) && (
        <p className="py-1 text-sm text-soft">The sums of that moment were not kept: no page showed them then.</p>
      )}
      <ol>
        {trace?.stops.map((each) => (
          <li
            key={each.station}
            aria-current={each.station === station ? 'step' : undefined}
            className={clsx(
              'grid grid-cols-[5rem_10rem_1fr] gap-x-4 border-b border-hair px-2 py-1.5 max-sm:grid-cols-[5rem_1fr]',
              each.station === station && 'bg-sea-wash/60',
            )}
          >
            <b>{STATION_NAMES[each.station]}</b>
            <span className={clsx('font-bold', each.mark === 'wrong' && 'text-rust')}>
              {each.figure} {each.unit}
            </span>
            <ul className="font-mono text-[0.93rem] text-soft max-sm:col-span-2">
              {each.working.map((line) => (
                <li key={line}>{line}</li>
              ))}
              {each.working.length === 0 && <li>{each.note}</li>}
            </ul>
          </li>
        ))}
      </ol>
    </>
  );
}
