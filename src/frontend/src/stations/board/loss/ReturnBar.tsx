import clsx from 'clsx';
import type { LossTimeline } from '../../../api/types';
import { figure, together } from '../../../ui/figures';

interface Props {
  returns: LossTimeline['returns'];
  /** From frame to frame, in milliseconds. */
  period: number;
}

/** What happens when the signal comes back while the hands stay where they are, by when it does. */
export function ReturnBar({ returns, period }: Props) {
  return (
    <section aria-labelledby="signal-back">
      <h2 id="signal-back" className="mb-1 text-lg font-bold">
        When the signal comes back, hands unmoved
      </h2>
      <ol className="max-w-[80ch]">
        {returns.map((span, i) => (
          <li
            key={i}
            className={clsx(
              'flex items-baseline gap-4 border-l-4 border-b border-b-hair py-1 pl-3',
              span.dangerous ? 'border-l-rust' : 'border-l-line',
            )}
          >
            <span className="w-42 shrink-0 font-mono text-sm font-semibold">{together(span.when)}</span>
            <span>
              {span.dangerous && <b className="text-rust">Dangerous. </b>}
              {span.text}
            </span>
          </li>
        ))}
      </ol>
      {returns.length > 1 && (
        <p className="mt-1 text-sm text-soft">
          {together(
            `Each up to a frame, ${figure(period, 1)} ms, earlier: the last packet comes anywhere between two.`,
          )}
        </p>
      )}
    </section>
  );
}
