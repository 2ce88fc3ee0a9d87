import { Volume2 } from 'lucide-react';
import clsx from 'clsx';
import { useBenchState } from './BenchProvider';

/** What the board says and why, and what was announced last, as a caption; what happened since, if anything. */
export function BoardSays() {
  const report = useBenchState((s) => s.message?.snapshot.board ?? null);
  const said = useBenchState((s) => s.message?.snapshot.said ?? null);
  const noted = useBenchState((s) => s.message?.snapshot.noted ?? null);
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
      {said && (
        <p className="mt-auto flex items-center gap-1.5 pt-1 text-[0.8rem] font-semibold text-deep-ink">
          <Volume2 size={14} className="shrink-0" aria-label="Announced:" />
          <span className="truncate" title={said.text}>
            “{said.text}”
          </span>
        </p>
      )}
      {noted && (!said || noted.number > said.number) && (
        <p className="truncate pt-0.5 text-[0.8rem] text-deep-soft" title={noted.text}>
          {noted.text}
        </p>
      )}
    </div>
  );
}

/** The colour of a headline: sea-green only for what is live, rust-tinted for what is refused. */
export function tone(standing: string | undefined): string {
  if (standing === 'armed') return 'text-deep-live';
  return standing === 'refused' || standing === 'not-ready' || standing === 'no-signal' ? 'text-deep-warn' : '';
}
