import clsx from 'clsx';
import { auxName, auxOf } from '../../api/aux';
import type { ControlRow, Setup } from '../../api/types';
import { useBench, useBenchState } from '../../bench/BenchProvider';

/** Nearer edges than this are worth a word, in microseconds. */
const NEAR = 50;

/** What each position of each switch and button makes of its channel, and what the board does there. */
export function PositionTable({ rows, setup }: { rows: readonly ControlRow[]; setup: Setup }) {
  const columns = Math.max(...rows.map((row) => row.cells.length), 1);
  return (
    <div className="-mx-1 overflow-x-auto px-1">
      <table className="w-full border-collapse">
        <thead>
          <tr className="border-b-2 border-ink text-left text-[0.84rem] text-soft">
            <th className="py-1 font-semibold">Control</th>
            <th className="font-semibold">Channel</th>
            <th className="text-center font-semibold" colSpan={columns}>
              safe end → far end, as the board receives it
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <Row key={`${row.control} ${row.channel}`} row={row} columns={columns} setup={setup} />
          ))}
        </tbody>
      </table>
    </div>
  );
}

function Row({ row, columns, setup }: { row: ControlRow; columns: number; setup: Setup }) {
  const { followed, move } = useBench();
  const setting = useBenchState((s) => s.message?.snapshot.settings[row.control] ?? null);
  const watched = Object.values(setup.board.functions).find((f) => f.aux === auxOf(row.channel));
  const gap = columns - row.cells.length;
  return (
    <tr className={clsx('border-b border-hair', followed === row.control && 'bg-sea-wash/60')}>
      <th scope="row" className="py-2 pr-3 text-left font-bold">
        {row.name}
      </th>
      <td className="pr-3 whitespace-nowrap">
        <b>{row.channel}</b> <span className="text-[0.8rem] font-semibold text-soft">{auxName(row.channel)}</span>
      </td>
      {row.cells.flatMap((cell, i) => [
        // Two positions stand at the two ends; the middle stays empty.
        ...(i === 1 && gap > 0 ? [<td key="gap" colSpan={gap} className="border-l border-hair" />] : []),
        <td
          key={cell.setting}
          className={clsx(
            'border-l border-hair p-1 text-center',
            cell.setting === setting && 'outline-2 -outline-offset-2 outline-sea',
          )}
        >
          <button
            type="button"
            className="w-full rounded px-1 py-0.5 hover:bg-hair"
            aria-label={`Put ${row.name} at ${cell.name}`}
            onClick={() => move(row.control, cell.setting)}
          >
            <span className="text-[0.8rem] text-soft">{cell.name}</span>{' '}
            <b className="font-mono">{Math.round(cell.received)} µs</b>
            <span className="block">
              {cell.room && cell.room.room < NEAR && (
                <span className={clsx('block text-[0.8rem]', cell.room.tooNear ? 'text-rust' : 'text-soft')}>
                  {Math.max(0, Math.round(cell.room.room))} µs to an edge
                </span>
              )}
              {offPlan(setup, row, cell).map((words) => (
                <span key={words} className="block text-[0.8rem] font-semibold text-rust">
                  {words}
                </span>
              ))}
              {cell.functions.length > 0 ? (
                <span className="rounded-sm bg-ink px-2 text-[0.87rem] font-bold text-paper">
                  {cell.functions.map((f) => setup.board.functions[f]?.label ?? f).join(', ')}
                </span>
              ) : (
                <span className="text-[0.87rem] text-soft">{watched ? 'off' : 'nothing listens'}</span>
              )}
            </span>
          </button>
        </td>,
      ])}
    </tr>
  );
}

/** What the plan says otherwise: a function that should be on here, or should not. */
function offPlan(setup: Setup, row: ControlRow, cell: ControlRow['cells'][number]): string[] {
  return Object.entries(setup.board.functions).flatMap(([id, { control, aux, planned = [], label }]) => {
    if (control !== row.control || aux !== auxOf(row.channel) || planned.length === 0) return [];
    const [on, wanted] = [cell.functions.includes(id), planned.includes(cell.setting)];
    if (on === wanted) return [];
    return [wanted ? `planned here: ${label}` : `not planned here: ${label}`];
  });
}
