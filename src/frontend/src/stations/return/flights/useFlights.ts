import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { answer, api } from '../../../api/client';
import type { ToldColumn } from '../../../api/types';

/** So often a flight that is read is asked how far it is, in milliseconds. */
const LOOK_MS = 250;

export const INVENTED = [
  { id: 'gusts', name: 'Much throttle in gusts', hint: 'the voltage sags in bursts' },
  { id: 'worn-battery', name: 'A worn battery', hint: 'less charge, more resistance' },
  { id: 'fade', name: 'Calm and far, with a fade', hint: 'the link is weak for a while' },
] as const;

export type InventedKind = (typeof INVENTED)[number]['id'];

/** The recorded flights of a craft, and what can be done with them. */
export function useFlights(id: string) {
  const client = useQueryClient();
  const key = ['flights', id];
  const list = useQuery({
    queryKey: key,
    queryFn: () => answer(api.GET('/api/setups/{id}/flights', { params: { path: { id } } })),
    refetchInterval: (query) => (query.state.data?.some((f) => f.reads) ? LOOK_MS : false),
  });
  const onSettled = () => client.invalidateQueries({ queryKey: key });
  const drop = useMutation({
    mutationFn: (file: File) =>
      answer(
        api.POST('/api/setups/{id}/flights', {
          params: { path: { id }, query: { name: file.name } },
          body: file as never,
          bodySerializer: (body: unknown) => body as Blob,
          headers: { 'Content-Type': 'application/octet-stream' },
        }),
      ),
    onSettled,
  });
  const invent = useMutation({
    mutationFn: (kind: InventedKind) =>
      answer(api.POST('/api/setups/{id}/invented-flights/{kind}', { params: { path: { id, kind } } })),
    onSettled,
  });
  const tell = useMutation({
    mutationFn: ({ flight, columns }: { flight: string; columns: ToldColumn[] }) =>
      answer(api.PUT('/api/flights/{flight}/columns', { params: { path: { flight } }, body: { columns } })),
    onSettled: async (_, __, { flight }) => {
      // What was drawn and judged was that of other columns.
      client.removeQueries({ queryKey: ['flight', flight] });
      await onSettled();
    },
  });
  const remove = useMutation({
    mutationFn: (flight: string) => api.DELETE('/api/flights/{flight}', { params: { path: { flight } } }),
    onSettled,
  });
  return { flights: list.data ?? [], drop, invent, tell, remove };
}
