import clsx from 'clsx';
import { RotateCcw } from 'lucide-react';
import type { TimerMoment } from '../../../api/types';

/** What a timer does in one flight, event by event, in the order in which they come. */
export function TimerFlight({ label, flight }: { label: string; flight: readonly TimerMoment[] }) {
  if (flight.length === 0)
    return (
      <p className="pt-2 text-sm text-soft">
        No position of a switch arms this craft, so it cannot be tried on a flight.
      </p>
    );
  return (
    <ol
      aria-label={`${label} in a flight`}
      className="grid grid-cols-9 gap-x-0.5 pt-2.5 text-[0.8rem] leading-tight max-lg:grid-cols-1"
    >
      {flight.map((moment) => (
        <li key={moment.event} className="max-lg:grid max-lg:grid-cols-[3rem_1fr] max-lg:gap-x-3 max-lg:pb-1">
          <span
            aria-hidden
            className={clsx(
              'relative block h-3 max-lg:mt-0.5',
              moment.counts ? (moment.countsUnarmed ? 'bg-rust' : 'bg-sea') : 'border-b-2 border-edge',
            )}
          />
          <span className="block pt-1 pr-1 max-lg:pt-0">
            {moment.words}
            {moment.counts ? (
              <b
                className={clsx(
                  'block font-semibold max-lg:ml-1.5 max-lg:inline',
                  moment.countsUnarmed ? 'text-rust' : 'text-soft',
                )}
              >
                {moment.countsUnarmed ? 'counts already' : 'counts'}
              </b>
            ) : (
              <span className="sr-only">stands still</span>
            )}
            {moment.resets && (
              <b className={clsx('flex items-center gap-1', moment.resetsTooSoon && 'text-rust')}>
                <RotateCcw size={13} aria-hidden /> {moment.resetsTooSoon ? 'reset, too soon' : 'begins anew'}
              </b>
            )}
          </span>
        </li>
      ))}
    </ol>
  );
}
