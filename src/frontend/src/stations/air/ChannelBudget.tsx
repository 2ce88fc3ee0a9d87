import clsx from 'clsx';
import { auxName } from '../../api/aux';
import type { BudgetRow } from '../../api/types';
import { figure } from '../../ui/figures';

/** What is planned on each channel, and what of it survives the link. */
export function ChannelBudget({ rows }: { rows: readonly BudgetRow[] }) {
  const planned = rows.filter((r) => r.feeds);
  const arriving = rows.filter((r) => r.arrives);
  return (
    <section aria-labelledby="channel-budget" className="mb-5 max-w-4xl">
      <h2 id="channel-budget" className="text-lg font-bold">
        {planned.length} channels planned, {arriving.length} get to the board
      </h2>
      <ol className="mt-2 grid grid-cols-[repeat(auto-fill,minmax(9.5rem,1fr))] gap-1.5">
        {rows.map((row) => (
          <Channel key={row.channel} row={row} />
        ))}
      </ol>
    </section>
  );
}

function Channel({ row }: { row: BudgetRow }) {
  const wrong = (!row.arrives && row.feeds !== '') || row.lost.length > 0 || (row.quality && row.feeds !== '');
  const free = row.feeds === '' && !row.quality;
  return (
    <li
      className={clsx(
        'rounded border p-1.5 text-sm leading-snug',
        wrong ? 'border-rust bg-rust-wash' : free ? 'border-dashed border-line' : 'border-line bg-sheet',
      )}
    >
      <p className="flex justify-between gap-2 font-bold">
        <span>
          {row.channel}
          {auxName(row.channel) && <span className="font-normal text-soft"> · {auxName(row.channel)}</span>}
        </span>
        {row.arrives && (
          <span className={clsx('font-normal', row.steps > 0 ? 'text-ochre' : 'text-soft')}>
            {row.steps > 0 ? `${row.steps} steps` : `${figure(row.resolution, 2)} µs`}
          </span>
        )}
      </p>
      <p className={free ? 'text-soft' : ''}>{row.quality ? 'Signal quality, by the receiver' : row.feeds || 'free'}</p>
      {row.quality && row.feeds !== '' && <p className="font-semibold text-rust">overwrites {row.feeds}</p>}
      {!row.arrives && row.feeds !== '' && <p className="font-semibold text-rust">does not arrive</p>}
      {row.lost.map((words) => (
        <p key={words} className="font-semibold text-rust">
          {words}
        </p>
      ))}
      {row.arrives && row.functions.length > 0 && <p className="text-soft">for {row.functions.join(', ')}</p>}
    </li>
  );
}
