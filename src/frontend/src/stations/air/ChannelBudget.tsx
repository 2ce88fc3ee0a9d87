import clsx from 'clsx';
import type { Setup } from '../../api/types';

/** What is planned on each channel, and what of it gets to the board. */
export function ChannelBudget({ setup, carried }: { setup: Setup; carried: number }) {
  const planned = Object.values(setup.model.channels).sort((a, b) => a.number - b.number);
  const functions = Object.values(setup.board.functions);
  const highest = Math.max(carried, ...planned.map((c) => c.number));
  return (
    <section aria-labelledby="channel-budget" className="mb-5 max-w-4xl">
      <h2 id="channel-budget" className="text-lg font-bold">
        {planned.length} channels planned, {carried} get to the board
      </h2>
      <ol className="mt-2 grid grid-cols-[repeat(auto-fill,minmax(9.5rem,1fr))] gap-1.5">
        {Array.from({ length: highest }, (_, i) => i + 1).map((number) => {
          const channel = planned.find((c) => c.number === number);
          const listens = functions.filter((f) => f.aux + 4 === number).map((f) => f.label);
          const lost = number > carried;
          return (
            <li
              key={number}
              className={clsx(
                'rounded border p-1.5 text-sm leading-snug',
                lost ? 'border-rust bg-rust-wash' : channel ? 'border-line bg-sheet' : 'border-dashed border-line',
              )}
            >
              <p className="font-bold">
                {number}
                {number > 4 && <span className="font-normal text-soft"> · AUX {number - 4}</span>}
              </p>
              <p className={channel ? '' : 'text-soft'}>{channel?.label ?? 'free'}</p>
              {lost && channel && <p className="font-semibold text-rust">does not arrive</p>}
              {!lost && listens.length > 0 && <p className="text-soft">for {listens.join(', ')}</p>}
            </li>
          );
        })}
      </ol>
    </section>
  );
}
