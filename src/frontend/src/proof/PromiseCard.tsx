import clsx from 'clsx';
import { CircleHelp, OctagonAlert } from 'lucide-react';
import { Link } from 'react-router';
import type { PromiseState, PromiseView } from '../api/types';

const WRONG: Partial<Record<PromiseState, string>> = {
  broken: 'Not kept',
  'not-proven': 'Not proven',
  vacuous: 'Says nothing',
};

/** A promise that is not kept, beside the work: what is wrong with it, and the way to its sequence and its fixes. */
export function PromiseCard({ id, promise }: { id: string; promise: PromiseView }) {
  const broken = promise.state === 'broken';
  const Icon = broken ? OctagonAlert : CircleHelp;
  const moves = promise.path.length - 1;
  return (
    <article
      className={clsx(
        'rounded border border-l-[6px] border-line bg-sheet p-3',
        broken ? 'border-l-rust' : 'border-l-ochre',
      )}
    >
      <h3 className="flex gap-2 font-bold">
        <Icon size={19} aria-hidden className={clsx('mt-0.5 shrink-0', broken ? 'text-rust' : 'text-ochre')} />
        <span>
          {WRONG[promise.state]}: {promise.name}
        </span>
      </h3>
      <p className="mt-1 text-[0.93rem]">{promise.reason}</p>
      <p className="mt-1 text-[0.93rem]">
        <Link className="font-semibold underline" to={`/craft/${id}/proof#${promise.code}`}>
          {broken && moves > 0
            ? `How, in ${moves} ${moves === 1 ? 'step' : 'steps'}, and what would keep it`
            : 'What the proof says of it'}
        </Link>
      </p>
    </article>
  );
}
