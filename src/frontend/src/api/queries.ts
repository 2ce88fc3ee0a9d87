import { queryOptions } from '@tanstack/react-query';
import { answer, api } from './client';

/** What the interface asks of the server, each under its key. */
export const setupsQuery = queryOptions({
  queryKey: ['setups'],
  queryFn: () => answer(api.GET('/api/setups')),
});

/** Craft that were put away. */
export const putAwayQuery = queryOptions({
  queryKey: ['put-away'],
  queryFn: () => answer(api.GET('/api/put-away')),
});

/** What is stored and cannot be read. */
export const unreadableQuery = queryOptions({
  queryKey: ['unreadable'],
  queryFn: () => answer(api.GET('/api/unreadable')),
});

/** The figures of the trade that the program computes with. */
export const figuresQuery = queryOptions({
  queryKey: ['figures'],
  queryFn: () => answer(api.GET('/api/figures')),
  staleTime: Infinity,
});

/** The field's words. */
export const wordsQuery = queryOptions({
  queryKey: ['words'],
  queryFn: () => answer(api.GET('/api/words')),
  staleTime: Infinity,
});

const at = (id: string) => ({ params: { path: { id } } });

export const setupQuery = (id: string) =>
  queryOptions({ queryKey: ['setup', id], queryFn: () => answer(api.GET('/api/setups/{id}', at(id))) });

export const viewQuery = (id: string) =>
  queryOptions({ queryKey: ['setup', id, 'view'], queryFn: () => answer(api.GET('/api/setups/{id}/view', at(id))) });

export const findingsQuery = (id: string) =>
  queryOptions({
    queryKey: ['setup', id, 'findings'],
    queryFn: () => answer(api.GET('/api/setups/{id}/findings', at(id))),
  });

export const proofQuery = (id: string) =>
  queryOptions({
    queryKey: ['setup', id, 'proof'],
    queryFn: () => answer(api.GET('/api/setups/{id}/proof', at(id))),
  });

export const verdictQuery = (id: string) =>
  queryOptions({
    queryKey: ['setup', id, 'verdict'],
    queryFn: () => answer(api.GET('/api/setups/{id}/verdict', at(id))),
  });

export const workQuery = (id: string) =>
  queryOptions({
    queryKey: ['setup', id, 'work'],
    queryFn: () => answer(api.GET('/api/setups/{id}/work', at(id))),
  });

export const revisionsQuery = (id: string) =>
  queryOptions({
    queryKey: ['setup', id, 'revisions'],
    queryFn: () => answer(api.GET('/api/setups/{id}/revisions', at(id))),
  });

/** What differs between two revisions, in words. */
export const changesQuery = (id: string, since: number, number: number) =>
  queryOptions({
    queryKey: ['setup', id, 'changes', since, number],
    queryFn: () =>
      answer(
        api.GET('/api/setups/{id}/revisions/{number}/changes', {
          params: { path: { id, number }, query: { since } },
        }),
      ),
    staleTime: Infinity,
  });

export const readyMadeQuery = (id: string) =>
  queryOptions({
    queryKey: ['setup', id, 'ready-made'],
    queryFn: () => answer(api.GET('/api/setups/{id}/ready-made', at(id))),
  });

export const transmittersQuery = queryOptions({
  queryKey: ['transmitters'],
  queryFn: () => answer(api.GET('/api/transmitters')),
});

export const wireFormatsQuery = queryOptions({
  queryKey: ['wire-formats'],
  queryFn: () => answer(api.GET('/api/wire-formats')),
  staleTime: Infinity,
});

export const frameQuery = (capture: string, frame: number) =>
  queryOptions({
    queryKey: ['capture', capture, frame],
    queryFn: () => answer(api.GET('/api/captures/{capture}/frames/{frame}', { params: { path: { capture, frame } } })),
    retry: false,
  });

export const linkProfilesQuery = queryOptions({
  queryKey: ['link-profiles'],
  queryFn: () => answer(api.GET('/api/link-profiles')),
});

export const bindsQuery = (id: string) =>
  queryOptions({
    queryKey: ['setup', id, 'binds'],
    queryFn: () => answer(api.GET('/api/setups/{id}/binds', at(id))),
  });

export const measurementsQuery = (id: string) =>
  queryOptions({
    queryKey: ['setup', id, 'measurements'],
    queryFn: () => answer(api.GET('/api/setups/{id}/measurements', at(id))),
  });
