import { useMutation, useQueryClient } from '@tanstack/react-query';
import { answer, api } from '../api/client';
import { workQuery } from '../api/queries';

interface Place {
  id: string;
  step: string;
  item: string;
  /** What the pilot has looked at: what was changed after it makes the tick stale. */
  revision: number;
}

interface Tick {
  asExpected: boolean;
  seen: string;
  /** In milliseconds; undefined where nobody took the time. */
  after?: number;
}

/** Records that a thing of a step of the work came out as it should, or did not. */
export function useTick({ id, step, item, revision }: Place, onTicked?: () => void) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (body: Tick) =>
      answer(
        api.POST('/api/setups/{id}/steps/{step}/{item}', {
          params: { path: { id, step, item }, query: { revision } },
          body,
        }),
      ),
    onSuccess: (work) => {
      client.setQueryData(workQuery(id).queryKey, work);
      onTicked?.();
    },
  });
}
