import clsx from 'clsx';
import { ArrowRight } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { Link, useLocation } from 'react-router';
import type { WorkStep } from '../api/types';
import { Notice } from '../ui/Notice';
import { StationHead } from '../ui/StationHead';
import { pageOf } from './places';
import { WORK_STATES } from './states';
import { TickList } from './TickList';
import { useWork } from './useWork';
import { Term } from '../ui/Term';

/** All steps of setting up a craft, in the order in which practitioners work, and how each stands. */
export function WorkPage({ id, revision }: { id: string; revision: number }) {
  const { data, error } = useWork(id);
  const { hash } = useLocation();
  return (
    <>
      <StationHead title="What remains">
        In the order in which the work is done. What can be computed is; what was done at the bench is ticked as{' '}
        <Term word="evidence" />, and goes <Term word="stale" /> when something that it depends on is changed.
      </StationHead>
      {error && <Notice title={error.message} />}
      {!data && !error && <p role="status">Looking what remains…</p>}
      <ol className="mt-3">
        {data?.work.steps.map((step, i) => (
          <Step
            key={`${step.id}${hash === `#${step.id}`}`}
            id={id}
            number={i + 1}
            step={step}
            revision={revision}
            isNext={step.id === data.work.next}
            isAsked={hash === `#${step.id}`}
          />
        ))}
      </ol>
    </>
  );
}

interface StepProps {
  id: string;
  number: number;
  step: WorkStep;
  revision: number;
  isNext: boolean;
  /** True when a link leads to this one. */
  isAsked: boolean;
}

function Step({ id, number, step, revision, isNext, isAsked }: StepProps) {
  const { icon: Icon, name, tone } = WORK_STATES[step.state];
  // The next step is open by itself, until somebody decides otherwise.
  const [choice, setChoice] = useState<boolean | null>(null);
  const opened = choice ?? (isAsked || isNext);
  const row = useRef<HTMLLIElement>(null);
  useEffect(() => {
    if (isAsked) row.current?.scrollIntoView({ block: 'start' });
  }, [isAsked]);
  const ticked = step.items.length > 0;
  return (
    <li
      ref={row}
      id={step.id}
      aria-current={isNext ? 'step' : undefined}
      className={clsx('border-b border-line py-2', isNext && 'border-l-4 border-l-sea bg-sea-wash/50')}
    >
      <div className="grid grid-cols-[1.6rem_1.4rem_minmax(0,1fr)_auto] items-start gap-x-2.5 px-1">
        <span className="text-right font-mono text-soft">{number}</span>
        <Icon size={20} aria-hidden className={clsx('mt-0.5', tone)} />
        <div className="min-w-0">
          <h2 className="font-bold">
            {step.name} <span className={clsx('text-sm', tone)}>{name}</span>
          </h2>
          <p className="text-[0.93rem]">{step.stands}</p>
          {step.state !== 'done' && step.state !== 'not-needed' && (
            <p className="text-[0.87rem] text-soft">
              {step.why}
              {step.caution !== '' && <b className="text-ink"> {step.caution}</b>}
            </p>
          )}
          {ticked && (
            <details
              className="mt-1"
              open={opened}
              onToggle={(event) => {
                const { open } = event.currentTarget;
                if (event.target === event.currentTarget && open !== opened) setChoice(open);
              }}
            >
              <summary className="min-h-6 cursor-pointer text-[0.87rem] text-soft">
                {step.items.length} to {step.shownBy === 'tried' ? 'try' : step.shownBy === 'stored' ? 'store' : 'read'}
              </summary>
              {opened && <TickList id={id} step={step} revision={revision} />}
            </details>
          )}
        </div>
        {(step.place.station ?? step.place.part) && (
          <Link
            to={pageOf(id, step)}
            aria-label={`Go there: ${step.name}`}
            className="target inline-flex min-h-8 items-center gap-1 rounded border border-edge bg-sheet px-2.5 text-sm font-semibold hover:border-ink"
          >
            Go there <ArrowRight size={15} aria-hidden />
          </Link>
        )}
      </div>
    </li>
  );
}
