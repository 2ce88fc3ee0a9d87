import clsx from 'clsx';
import type { LossTimeline } from '../../../api/types';
import { together } from '../../../ui/figures';

/** Whether a position that runs the loss on purpose does what a real loss does. */
export function OnPurpose({ all }: { all: LossTimeline['onPurpose'] }) {
  if (all.length === 0) return null;
  return (
    <section aria-labelledby="on-purpose">
      <h2 id="on-purpose" className="mb-1 text-lg font-bold">
        On purpose
      </h2>
      <ul className="max-w-[75ch]">
        {all.map(({ label, same, words }) => (
          <li key={label} className={clsx('border-l-4 py-1 pl-3', same ? 'border-l-line' : 'border-l-rust')}>
            <b>{label}.</b> {!same && <b className="text-rust">Not as a real loss. </b>}
            {words.map(together).join(' ')}
          </li>
        ))}
      </ul>
    </section>
  );
}
