import { ArrowRight } from 'lucide-react';
import { Link, NavLink } from 'react-router';
import type { WorkView } from '../api/types';
import { pageOf } from './places';

/** How far the work is, and the way to its next step. */
export function NextStep({ craft, work }: { craft: string; work: WorkView['work'] | undefined }) {
  if (!work) return null;
  const next = work.steps.find((s) => s.id === work.next);
  return (
    <p className="flex min-w-0 items-center gap-1 text-[0.87rem]">
      <NavLink
        to={`/craft/${craft}/work`}
        aria-label={`What remains: ${work.done} of ${work.needed} steps done`}
        className="target flex h-8 shrink-0 items-center gap-1.5 rounded px-2 font-bold hover:bg-hair aria-[current=page]:bg-sea-wash"
      >
        <Share done={work.done} needed={work.needed} />
        {work.done}/{work.needed}
      </NavLink>
      {next ? (
        <Link
          to={pageOf(craft, next)}
          title={`${next.why} (Alt+N)`}
          className="target flex h-8 min-w-0 items-center gap-1 rounded px-1.5 hover:bg-hair"
        >
          <span className="text-soft max-xl:sr-only">Next:</span>
          <span className="truncate font-semibold">{next.name}</span>
          <ArrowRight size={15} className="shrink-0" aria-hidden />
        </Link>
      ) : (
        <span className="px-1.5 font-semibold text-moss">Every step is done</span>
      )}
    </p>
  );
}

/** A share as a bar. */
function Share({ done, needed }: { done: number; needed: number }) {
  return (
    <span className="h-1.5 w-9 overflow-hidden rounded-full border border-soft" aria-hidden>
      <span className="block h-full bg-moss" style={{ width: `${(100 * done) / Math.max(1, needed)}%` }} />
    </span>
  );
}
