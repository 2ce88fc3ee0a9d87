import { useQuery } from '@tanstack/react-query';
import { answer, api } from '../api/client';
import { EditButton } from '../edits/EditButton';
import type { Changes } from '../edits/useChanges';
import { Notice } from '../ui/Notice';

/** Fixes that were proven to keep the promise before they are offered. */
export function FixList({ id, code, changes }: { id: string; code: string; changes: Changes }) {
  const fixes = useQuery({
    queryKey: ['setup', id, 'fixes', code],
    queryFn: ({ signal }) =>
      answer(api.GET('/api/setups/{id}/proof/{code}/fixes', { params: { path: { id, code } }, signal })),
    staleTime: Infinity,
    gcTime: 0,
  });
  if (fixes.error) return <Notice title={fixes.error.message} />;
  if (!fixes.data)
    return (
      <p role="status" className="min-h-16">
        Trying fixes: each is proven on a copy before it is offered…
      </p>
    );
  if (fixes.data.length === 0)
    return <p className="text-soft">No fix that is known here keeps it without breaking another promise.</p>;
  return (
    <section aria-label="Proven fixes">
      <h3 className="font-bold text-moss">Proven to keep it</h3>
      <ul className="mt-1 flex flex-col gap-2">
        {fixes.data.map((fix, i) => (
          <li key={fix.id} className="flex flex-wrap items-baseline gap-x-3 gap-y-1">
            <EditButton
              edit={fix.edit}
              first={i === 0}
              effect={fix.effect}
              onTake={() => void changes.edit(fix.edit)}
            />
            <span className="text-[0.93rem]">
              {fix.effect}
              {fix.alsoKeeps.length > 0 && <b className="text-moss"> Keeps {fix.alsoKeeps.length} more.</b>}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
