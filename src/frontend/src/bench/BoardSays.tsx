import { Volume2 } from 'lucide-react';
import clsx from 'clsx';
import { useBenchState } from './BenchProvider';

/** So many entries of the log are seen at once. */
const SEEN = 3;

/** So many are there for a screen reader, which is told all that come at one moment. */
const TOLD = 16;

/** What the board says and why, and below it what was announced and what happened last. */
export function BoardSays() {
  const report = useBenchState((s) => s.message?.snapshot.board ?? null);
  const log = useBenchState((s) => s.log.slice(-TOLD));
  return (
    <div className="flex min-w-0 flex-col">
      <div role="status" aria-label="The board says">
        <p
          data-testid="board-title"
          className={clsx('text-[1.8rem] leading-tight font-extrabold', tone(report?.standing))}
        >
          {report?.title ?? '…'}
        </p>
        <p className="text-[0.87rem] leading-snug">{report?.reason}</p>
        {report && report.flight !== '' && (
          <p className="text-[0.8rem] leading-snug text-deep-soft">
            Flies by: <b className="text-deep-ink">{report.flight}</b>
          </p>
        )}
      </div>
      <div role="log" aria-label="Announced and noted" className="mt-auto pt-1 pb-5 text-[0.8rem]">
        <ol>
          {log.map(({ number, kind, text }, i) => (
            <li
              key={number}
              className={clsx('flex items-center gap-1.5 last:font-semibold', i < log.length - SEEN && 'sr-only')}
            >
              {kind === 'said' && <Volume2 size={14} className="shrink-0" aria-label="Announced:" />}
              <span className={clsx('truncate', kind !== 'said' && 'text-deep-soft')} title={text}>
                {kind === 'said' ? `“${text}”` : text}
              </span>
            </li>
          ))}
        </ol>
      </div>
    </div>
  );
}

/** The look of a headline: armed stands on hazard stripes, a lost signal is a warning, and a refusal is an answer like any other. */
export function tone(standing: string | undefined): string {
  if (standing === 'armed') return 'hazard';
  return standing === 'no-signal' ? 'text-deep-warn' : '';
}
