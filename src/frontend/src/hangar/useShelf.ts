import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api } from '../api/client';
import { putAwayQuery, setupsQuery } from '../api/queries';

/** Puts craft away and brings them back. */
export function useShelf() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ id, away }: { id: string; away: boolean }) =>
      away
        ? api.POST('/api/setups/{id}/put-away', { params: { path: { id } } })
        : api.POST('/api/setups/{id}/bring-back', { params: { path: { id } } }),
    onSettled: () =>
      Promise.all([setupsQuery, putAwayQuery].map(({ queryKey }) => client.invalidateQueries({ queryKey }))),
  });
}
