import clsx from 'clsx';
import type { LatencyPart } from '../../api/types';

const FILLS = ['bg-sea', 'bg-ink', 'bg-ochre', 'bg-soft'];

/** How long a movement takes to the board at worst, drawn to scale. */
export function LatencyBar({ parts }: { parts: readonly LatencyPart[] }) {
  const total = parts.reduce((sum, part) => sum + part.atMost, 0);
  const ms = (value: number) => value.toLocaleString('en-GB', { maximumFractionDigits: 1 });
  return (
    <section aria-labelledby="latency" className="mb-6 max-w-4xl">
      <h2 id="latency" className="text-lg font-bold">
        From the stick to the board in {ms(total)} ms at worst
      </h2>
      <div aria-hidden className="my-2 flex h-4 overflow-hidden rounded-sm">
        {parts.map((part, i) => (
          <span
            key={part.name}
            className={clsx(FILLS[i % FILLS.length], 'border-r-2 border-paper last:border-0')}
            style={{ width: `${(100 * part.atMost) / total}%` }}
          />
        ))}
      </div>
      <ul className="flex flex-wrap gap-x-6 gap-y-1 text-sm">
        {parts.map((part, i) => (
          <li key={part.name} className="flex items-center gap-1.5">
            <span aria-hidden className={clsx('size-3 rounded-xs', FILLS[i % FILLS.length])} />
            {part.name}: <b>{ms(part.atMost)} ms</b>
          </li>
        ))}
      </ul>
    </section>
  );
}
