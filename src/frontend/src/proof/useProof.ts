import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { answer, api } from '../api/client';
import { proofQuery } from '../api/queries';

/** While it runs, a proof is looked at so often, in milliseconds. */
const LOOK = 300;

/** The proof of a craft: it begins by itself after every change, and is looked at again until it is done. */
export function useProof(id: string) {
  const client = useQueryClient();
  const query = useQuery({
    ...proofQuery(id),
    refetchInterval: ({ state }) => (state.data?.running === false ? false : LOOK),
  });
  const path = { params: { path: { id } } };
  const begin = useMutation({
    mutationFn: (body: { twoHands: boolean; seconds: number }) =>
      answer(api.POST('/api/setups/{id}/proof', { ...path, body })),
    onSuccess: (view) => client.setQueryData(proofQuery(id).queryKey, view),
  });
  const cancel = useMutation({
    mutationFn: () => answer(api.POST('/api/setups/{id}/proof/cancel', path)),
    onSuccess: (view) => client.setQueryData(proofQuery(id).queryKey, view),
  });
  return { proof: query.data, error: query.error, begin: begin.mutate, cancel: cancel.mutate };
}
