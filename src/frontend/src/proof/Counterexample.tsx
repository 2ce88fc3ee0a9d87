import clsx from 'clsx';
import { Pause, Play, SkipBack, StepForward } from 'lucide-react';
import { useCallback, useEffect, useState } from 'react';
import { answer, api } from '../api/client';
import type { PromiseView } from '../api/types';
import { STATION_NAMES } from '../api/stations';
import { Button } from '../ui/Button';
import { figure } from '../ui/figures';

/** So long a step is looked at before the next one, in milliseconds. */
const PACE = 1600;

/** The sequence that breaks a promise, as numbered sentences with the values along the path; played on the bench below. */
export function Counterexample({ id, promise }: { id: string; promise: PromiseView }) {
  const [at, setAt] = useState<number | null>(null);
  const [playing, setPlaying] = useState(false);
  const last = promise.path.length - 1;
  const play = useCallback(
    (step: number) => {
      setAt(step);
      void answer(
        api.POST('/api/setups/{id}/proof/{code}/bench/{step}', {
          params: { path: { id, code: promise.code, step } },
        }),
      ).catch(() => setPlaying(false));
    },
    [id, promise.code],
  );
  const running = playing && at !== null && at < last;
  useEffect(() => {
    if (!running) return;
    const timer = setTimeout(() => play(at + 1), PACE);
    return () => clearTimeout(timer);
  }, [running, at, play]);

  return (
    <section aria-label={`What breaks it: ${promise.name}`}>
      <div className="mb-2 flex flex-wrap gap-2">
        <Button
          look="solid"
          onClick={() => {
            setPlaying(true);
            play(at === null || at === last ? 0 : at);
          }}
          disabled={running}
        >
          <Play size={15} aria-hidden /> Play on the bench
        </Button>
        <Button onClick={() => setPlaying(false)} disabled={!running}>
          <Pause size={15} aria-hidden /> Pause
        </Button>
        <Button
          onClick={() => {
            setPlaying(false);
            play(at === null ? 0 : at + 1);
          }}
          disabled={at === last}
        >
          <StepForward size={15} aria-hidden /> One step
        </Button>
        <Button
          onClick={() => {
            setPlaying(false);
            play(0);
          }}
          disabled={at === null || at === 0}
        >
          <SkipBack size={15} aria-hidden /> To the start
        </Button>
      </div>
      <ol className="flex flex-col" start={0}>
        {promise.path.map((step, number) => (
          <li
            key={number}
            aria-current={at === number ? 'step' : undefined}
            className={clsx(
              'grid grid-cols-[1.8rem_minmax(0,1fr)] gap-x-2 border-l-4 py-1.5 pl-2',
              at === number ? 'border-sea bg-sea-wash/60' : 'border-hair',
            )}
          >
            <b className="text-right font-mono">{number === 0 ? '·' : number}</b>
            <div>
              <p>
                {step.sentence} <b className={step.motors === 'thrust' ? 'text-rust' : undefined}>→ {step.outcome}</b>
              </p>
              <p className="flex flex-wrap gap-x-1.5 text-[0.84rem] text-soft">
                <span>{step.followed}:</span>
                {step.stops.map((stop, i) => (
                  <span key={stop.station} className="whitespace-nowrap">
                    {i > 0 && '› '}
                    <span className="max-sm:sr-only">{STATION_NAMES[stop.station]} </span>
                    <span className={clsx('font-mono', stop.mark === 'wrong' && 'font-bold text-rust')}>
                      {stop.figure} {stop.unit}
                    </span>
                  </span>
                ))}
                {/* The sentence speaks of what the board takes for its throttle, which may be another stick. */}
                {step.throttle !== null && (
                  <span className="whitespace-nowrap">
                    · the board&apos;s throttle <span className="font-mono">{figure(step.throttle, 0)} µs</span>
                  </span>
                )}
              </p>
            </div>
          </li>
        ))}
      </ol>
    </section>
  );
}
