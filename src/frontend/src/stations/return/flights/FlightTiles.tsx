import clsx from 'clsx';
import { X } from 'lucide-react';
import type { FlightView } from '../../../api/types';
import { flightTime } from './times';

interface Props {
  flights: readonly FlightView[];
  /** The id of the one that is shown. */
  shown: string | null;
  /** True while the columns of it are shown. */
  columns: boolean;
  onShow: (id: string) => void;
  onColumns: (shown: boolean) => void;
  onRemove: (id: string) => void;
}

/** The flights side by side: what each is, how far it is read, and what is wrong with it. */
export function FlightTiles({ flights, shown, columns, onShow, onColumns, onRemove }: Props) {
  if (flights.length === 0) return null;
  return (
    <ul className="mb-3 flex flex-wrap gap-2" aria-label="Flights">
      {flights.map((flight) => (
        <li
          key={flight.id}
          className={clsx(
            'flex items-stretch rounded border bg-sheet',
            flight.id === shown ? 'border-sea bg-sea-wash' : 'border-line',
          )}
        >
          <button
            type="button"
            aria-pressed={flight.id === shown}
            className="min-h-10 px-2.5 py-1 text-left text-sm"
            onClick={() => onShow(flight.id)}
          >
            <b className="block">{flight.name}</b>
            <Standing flight={flight} />
          </button>
          {flight.id === shown && !flight.reads && (
            <button
              type="button"
              aria-pressed={columns || flight.rows === 0}
              disabled={flight.rows === 0}
              className="border-l border-line px-2 text-sm font-semibold underline disabled:no-underline"
              onClick={() => onColumns(!columns)}
            >
              Columns
            </button>
          )}
          <button
            type="button"
            className="grid min-w-8 place-items-center border-l border-line text-soft hover:text-ink"
            aria-label={flight.reads ? `Stop reading ${flight.name}` : `Put ${flight.name} away`}
            onClick={() => onRemove(flight.id)}
          >
            <X size={15} aria-hidden />
          </button>
        </li>
      ))}
    </ul>
  );
}

function Standing({ flight }: { flight: FlightView }) {
  if (flight.reads)
    return (
      <span className="flex items-center gap-2 text-soft">
        <progress
          className="h-1.5 w-24 accent-sea"
          max={1}
          value={flight.share}
          aria-label={`Reading ${flight.name}`}
        />
        {Math.round(flight.share * 100)} %
      </span>
    );
  const damaged = flight.damagedRows + flight.damagedCells;
  if (flight.rows === 0)
    return <span className="text-rust">{flight.cancelled ? 'not read' : 'cannot be used yet'}</span>;
  return (
    <span className="text-soft">
      {flightTime(flight.length)}, {flight.rows.toLocaleString('en-GB').replaceAll(',', '\u202f')} rows
      {damaged > 0 && <span className="text-ochre">, {damaged} damaged</span>}
    </span>
  );
}
