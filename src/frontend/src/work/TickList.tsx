import clsx from 'clsx';
import { Check, X } from 'lucide-react';
import { useState } from 'react';
import type { WorkItem, WorkStep } from '../api/types';
import { useTick } from '../edits/useTick';
import { Button } from '../ui/Button';
import { figure } from '../ui/figures';
import { focusOnce } from '../ui/focusOnce';
import { WORK_STATES } from './states';

/** What is ticked by hand in a step: what to do, what must come of it, and what was seen. */
export function TickList({ id, step, revision }: { id: string; step: WorkStep; revision: number }) {
  return (
    <ul className="mt-1 border-t border-line">
      {step.items.map((item) => (
        <Tick key={item.id} id={id} step={step.id} item={item} revision={revision} />
      ))}
    </ul>
  );
}

interface TickProps {
  id: string;
  step: string;
  item: WorkItem;
  revision: number;
}

function Tick({ id, step, item, revision }: TickProps) {
  const [seen, setSeen] = useState<string | null>(null);
  // In seconds, as it is typed; empty where nobody took the time.
  const [took, setTook] = useState('');
  const after = took.trim() === '' ? undefined : Number(took.replace(',', '.')) * 1000;
  const wrong = after !== undefined && !(after >= 0 && after <= 3_600_000);
  const tick = useTick({ id, step, item: item.id, revision }, () => {
    setSeen(null);
    setTook('');
  });
  const { icon: Icon, name, tone } = WORK_STATES[item.state];
  return (
    <li className="grid grid-cols-[1.4rem_minmax(0,1fr)_auto] items-start gap-x-2.5 gap-y-1 border-b border-hair py-1.5 max-sm:grid-cols-[1.4rem_minmax(0,1fr)]">
      <Icon size={18} aria-hidden className={clsx('mt-0.5', tone)} />
      <div className="min-w-0 text-[0.93rem]">
        <p>
          <span className="sr-only">{name}: </span>
          {item.optional && <span className="text-soft">If you can: </span>}
          {item.do}
        </p>
        <p className="text-soft">
          <span aria-hidden>→ </span>
          {item.expected}
        </p>
        {item.state === 'stale' && (
          <p className="font-semibold text-ochre">Another since: {item.changed.join(', ')}.</p>
        )}
        {/* A line in any case, so that the next item does not move away from under a hand. */}
        <p className="text-[0.84rem] text-soft">
          {item.takenAt ? (
            <>
              {item.state === 'failed' ? 'Not so, ' : 'Ticked, '}
              <time dateTime={item.takenAt}>
                {new Date(item.takenAt).toLocaleString(undefined, { dateStyle: 'medium', timeStyle: 'short' })}
              </time>
              {item.after != null && `, after ${figure(item.after / 1000, 2)} s`}
              {item.seen !== '' && `: ${item.seen}`}
            </>
          ) : (
            'Not ticked yet'
          )}
        </p>
        {tick.error && (
          <p role="alert" className="font-semibold text-rust">
            Not recorded: {tick.error.message}
          </p>
        )}
      </div>
      {seen === null ? (
        <div className="flex items-center gap-1.5 max-sm:col-start-2 max-sm:flex-wrap">
          {item.within != null && (
            <label className="flex items-center gap-1.5 text-sm text-soft max-sm:basis-full">
              after
              <input
                className="h-8 w-16 rounded border border-soft bg-sheet px-2 text-right font-mono text-ink"
                inputMode="decimal"
                maxLength={8}
                aria-label={`Seconds until it came: ${item.do}`}
                aria-invalid={wrong}
                value={took}
                onChange={(event) => setTook(event.target.value)}
              />
              s
            </label>
          )}
          <Button
            disabled={tick.isPending || wrong}
            aria-label={`So it is: ${item.do}`}
            onClick={() => tick.mutate({ asExpected: true, seen: '', after })}
          >
            <Check size={15} aria-hidden /> So it is
          </Button>
          <Button aria-label={`Not so: ${item.do}`} onClick={() => setSeen('')}>
            <X size={15} aria-hidden /> Not so
          </Button>
        </div>
      ) : (
        <form
          className="col-span-full flex flex-wrap items-end gap-2 pl-8"
          onSubmit={(event) => {
            event.preventDefault();
            tick.mutate({ asExpected: false, seen: seen.trim(), after });
          }}
        >
          <label className="flex min-w-60 flex-1 flex-col gap-0.5 text-sm text-soft">
            What was seen instead
            <input
              ref={focusOnce}
              className="h-8 rounded border border-soft bg-sheet px-2 text-ink"
              maxLength={300}
              value={seen}
              onChange={(event) => setSeen(event.target.value)}
            />
          </label>
          <Button type="submit" look="solid" disabled={tick.isPending}>
            Record it
          </Button>
          <Button look="bare" onClick={() => setSeen(null)}>
            Cancel
          </Button>
        </form>
      )}
    </li>
  );
}
