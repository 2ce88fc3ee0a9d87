import clsx from 'clsx';
import { ChevronLeft, ChevronRight } from 'lucide-react';
import type { LogEntry } from '../api/types';
import { focusOnce } from '../ui/focusOnce';
import { useBench, useBenchState } from './BenchProvider';
import type { LookBack } from './BenchLink';

/** What the slider moves by, in milliseconds. */
const STEP = 50;

/** How tall an event stands on the time line: what keeps motors from turning, or lets them, stands out. */
const MARKS: Record<LogEntry['kind'], string> = {
  armed: 'h-5 bg-deep-warn',
  disarmed: 'h-4 bg-deep-ink',
  refused: 'h-4 bg-deep-warn',
  lost: 'h-5 bg-deep-warn',
  good: 'h-4 bg-deep-live',
  said: 'h-2.5 bg-deep-ink',
  reset: 'h-2.5 bg-deep-soft',
  switched: 'h-2.5 bg-deep-soft',
  missed: 'h-2.5 bg-deep-soft',
  heard: 'h-2.5 bg-deep-soft',
};

/** The last minute of the bench, to be wound back and forth: path, lamps, chains and board show what they showed then. */
export function LastMinute({ back: { past, at }, onClose }: { back: LookBack; onClose: () => void }) {
  const { link } = useBench();
  const title = useBenchState((s) => s.message?.snapshot.board.title ?? '');
  const { from, to, log } = past;
  // Of what happened at one moment all is shown at once.
  const moments = [...new Set(log.map((e) => e.at))];
  const before = moments.findLast((t) => t < at);
  const after = moments.find((t) => t > at);
  const last = log.findLast((e) => e.at <= at);
  const ago = seconds(to - at);
  const width = Math.max(to - from, 1);
  return (
    // Escape ends it wherever the focus is in it.
    // eslint-disable-next-line jsx-a11y/no-noninteractive-element-interactions
    <section
      aria-label="The last minute"
      className="flex items-center gap-2 border-b border-deep-line bg-deep-raised px-4 py-1.5 max-md:flex-wrap"
      onKeyDown={(event) => {
        if (event.key === 'Escape') onClose();
      }}
    >
      <p className="w-27 shrink-0 leading-tight font-bold whitespace-nowrap">
        {to - at < STEP ? 'Now' : `${ago} s ago`}
        <span className="block truncate text-xs font-normal text-deep-soft">Controls are off</span>
      </p>
      <Jump name="What happened before" to={before} onJump={(t) => link.lookBack(t)}>
        <ChevronLeft size={17} aria-hidden />
      </Jump>
      <div className="relative min-w-40 flex-1">
        <div className="relative mx-2 h-5 border-b border-deep-line" aria-hidden>
          {log.map(({ number, at: when, kind, text }) => (
            <span
              key={number}
              title={text}
              className={clsx('absolute bottom-0 w-0.5', MARKS[kind])}
              style={{ left: `${((when - from) / width) * 100}%` }}
            />
          ))}
        </div>
        <input
          ref={focusOnce}
          type="range"
          aria-label="Look back, seconds"
          aria-valuetext={`${ago} seconds ago. ${title}${last ? `. ${last.text}` : ''}`}
          className="block h-6 w-full accent-deep-live"
          min={from}
          max={to}
          step={STEP}
          value={at}
          onChange={(event) => link.lookBack(Number(event.target.value))}
        />
      </div>
      <Jump name="What happened next" to={after} onJump={(t) => link.lookBack(t)}>
        <ChevronRight size={17} aria-hidden />
      </Jump>
      <p
        className="w-56 shrink-0 truncate text-sm max-md:w-auto max-md:min-w-0 max-md:flex-1 md:max-lg:hidden"
        title={last?.text}
      >
        {last ? `${seconds(to - last.at)} s ago: ${last.text}` : 'Nothing had happened yet'}
      </p>
      <button
        type="button"
        className="min-h-8 shrink-0 rounded border border-deep-ink px-2.5 text-sm font-semibold hover:bg-deep max-md:min-h-11"
        onClick={onClose}
      >
        Back to now
      </button>
    </section>
  );
}

/** In tenths, as long as it is looked at in steps of less. */
const seconds = (milliseconds: number): string => (milliseconds / 1000).toFixed(1);

interface JumpProps {
  name: string;
  to: number | undefined;
  onJump: (to: number) => void;
  children: React.ReactNode;
}

function Jump({ name, to, onJump, children }: JumpProps) {
  return (
    <button
      type="button"
      aria-label={name}
      title={name}
      // It keeps the focus at the end of the line.
      aria-disabled={to === undefined}
      className="grid size-8 shrink-0 place-items-center rounded border border-deep-line hover:border-deep-ink aria-disabled:opacity-40 max-md:size-11"
      onClick={() => to !== undefined && onJump(to)}
    >
      {children}
    </button>
  );
}
