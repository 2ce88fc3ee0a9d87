import { useQuery } from '@tanstack/react-query';
import { answer, api } from '../../../api/client';
import type { FlightView, ToldColumn } from '../../../api/types';
import { figure } from '../../../ui/figures';
import { Notice } from '../../../ui/Notice';
import { SelectField } from '../../../ui/SelectField';

interface Props {
  flight: FlightView;
  error: Error | null;
  onTell: (columns: ToldColumn[]) => void;
}

const HOW = { head: 'by its head', range: 'by its range', told: 'as you say' } as const;

/** What each column of a flight is taken for, which can be told otherwise, and what could not be read. */
export function ColumnTable({ flight, error, onTell }: Props) {
  const choices = useQuery({
    queryKey: ['flight-columns'],
    queryFn: () => answer(api.GET('/api/flight-columns')),
    staleTime: Infinity,
  }).data;
  if (!choices || flight.reads) return null;
  // What was said before is said again with it; of two for one column the last counts.
  const told = flight.columns
    .filter((c) => c.how === 'told')
    .map(({ index, meaning, unit }) => ({ index, meaning, unit: unit || null }));
  const tell = (index: number, meaning: ToldColumn['meaning'], unit: string | null) =>
    onTell([...told, { index, meaning, unit }]);
  return (
    <section aria-label="Columns of the flight" className="mb-4 max-w-4xl">
      {flight.problem && <Notice title={flight.problem} />}
      {error && <Notice title={error.message} />}
      {flight.columns.length > 0 && (
        <div className="my-2 overflow-x-auto">
          <table className="w-full text-sm">
            <thead>
              <tr className="text-left text-soft">
                <th className="py-1 pr-3 font-normal">Head</th>
                <th className="py-1 pr-3 font-normal">Numbers</th>
                <th className="py-1 pr-3 font-normal">Taken for</th>
                <th className="py-1 pr-3 font-normal">In</th>
                <th className="py-1 font-normal">Known</th>
              </tr>
            </thead>
            <tbody>
              {flight.columns.map((column) => {
                const units = choices.find((c) => c.meaning === column.meaning)?.units ?? [];
                return (
                  <tr key={column.index} className="border-t border-hair align-top">
                    <td className="py-1 pr-3 font-semibold">{column.head || `column ${column.index + 1}`}</td>
                    <td className="py-1 pr-3 font-mono whitespace-nowrap">
                      {column.lowest != null &&
                        column.highest != null &&
                        `${figure(column.lowest, 2)} to ${figure(column.highest, 2)}`}
                    </td>
                    <td className="py-1 pr-3">
                      <SelectField
                        label={`Column ${column.index + 1} means`}
                        quiet
                        dense
                        value={column.meaning}
                        options={choices.map((c) => ({ value: c.meaning, label: c.words }))}
                        onChange={(meaning) => tell(column.index, meaning as ToldColumn['meaning'], null)}
                      />
                    </td>
                    <td className="py-1 pr-3">
                      {units.length > 1 ? (
                        <SelectField
                          label={`Unit of column ${column.index + 1}`}
                          quiet
                          dense
                          value={column.unit}
                          options={units.map((u) => ({ value: u, label: u }))}
                          onChange={(unit) => tell(column.index, column.meaning, unit)}
                        />
                      ) : (
                        column.unit
                      )}
                    </td>
                    <td className="py-1 text-soft">
                      {column.meaning !== 'left-out' && `${HOW[column.how]}. `}
                      {column.remark}
                    </td>
                  </tr>
                );
              })}
            </tbody>
          </table>
        </div>
      )}
      {flight.remarks.length > 0 && (
        <ul className="my-2 list-disc pl-5 text-sm">
          {flight.remarks.map((remark) => (
            <li key={remark}>{remark}</li>
          ))}
        </ul>
      )}
      {flight.damages.length > 0 && (
        <details className="my-2 text-sm">
          <summary className="cursor-pointer font-semibold">
            {flight.damagedRows} rows and {flight.damagedCells} cells could not be read; all others were
          </summary>
          <ul className="mt-1 max-h-60 overflow-y-auto pl-2">
            {flight.damages.map((damage) => (
              <li key={`${damage.line} ${damage.reason}`}>
                <b>Line {damage.line}</b>: {damage.reason}
              </li>
            ))}
            {flight.damagedRows + flight.damagedCells > flight.damages.length && (
              <li>… and {flight.damagedRows + flight.damagedCells - flight.damages.length} more.</li>
            )}
          </ul>
        </details>
      )}
    </section>
  );
}
