import { useQuery } from '@tanstack/react-query';
import { Undo2 } from 'lucide-react';
import { putAwayQuery } from '../api/queries';
import { Button } from '../ui/Button';
import { useShelf } from './useShelf';

/** Craft that were put away, each with the way back. */
export function PutAway() {
  const { data = [] } = useQuery(putAwayQuery);
  const shelf = useShelf();
  if (data.length === 0) return null;
  return (
    <section aria-labelledby="put-away" className="mt-6">
      <h2 id="put-away" className="font-bold">
        Put away
      </h2>
      <ul>
        {data.map(({ id, name, at }) => (
          <li key={id} className="flex flex-wrap items-center gap-x-4 border-b border-hair py-1.5">
            <b>{name}</b>
            <span className="flex-1 text-[0.87rem] text-soft">
              since{' '}
              <time dateTime={at}>
                {new Date(at).toLocaleString(undefined, { dateStyle: 'medium', timeStyle: 'short' })}
              </time>
              , with all its history
            </span>
            <Button aria-label={`Bring ${name} back`} onClick={() => shelf.mutate({ id, away: false })}>
              <Undo2 size={15} aria-hidden /> Bring back
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
