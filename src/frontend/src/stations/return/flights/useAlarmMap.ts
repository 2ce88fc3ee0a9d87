import { useMutation, useQuery } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import { answer, api } from '../../../api/client';
import type { ReplayRequest } from '../../../api/types';

/** So often a map on its way is asked how far it is, in milliseconds. */
const LOOK_MS = 200;

/** A map of an alarm: asked for, watched while it is made, ended early. It belongs to what was asked for it. */
export function useAlarmMap(id: string, asked: ReplayRequest, revision: string) {
  const of = JSON.stringify([asked, revision]);
  const begin = useMutation({
    mutationFn: async () => ({
      of,
      map: await answer(api.POST('/api/setups/{id}/alarm-maps', { params: { path: { id } }, body: asked })),
    }),
  });
  const begun = begin.data;
  const look = useQuery({
    queryKey: ['alarm-map', begun?.map.id],
    queryFn: () => answer(api.GET('/api/alarm-maps/{map}', { params: { path: { map: begun!.map.id } } })),
    enabled: begun !== undefined,
    refetchInterval: (query) => (query.state.data?.works === false ? false : LOOK_MS),
    staleTime: Infinity,
  });
  const end = () => {
    if (begun) void api.DELETE('/api/alarm-maps/{map}', { params: { path: { map: begun.map.id } } });
    begin.reset();
  };
  // Nobody looks at one any more whose page has gone.
  const running = useRef<string>(undefined);
  useEffect(() => {
    running.current = look.data?.works === false ? undefined : begun?.map.id;
  });
  useEffect(
    () => () => {
      if (running.current) void api.DELETE('/api/alarm-maps/{map}', { params: { path: { map: running.current } } });
    },
    [],
  );
  return {
    map: begun ? (look.data ?? begun.map) : null,
    /** True when it was made for what is asked now. */
    fresh: begun?.of === of,
    error: begin.error ?? look.error,
    begin: () => begin.mutate(),
    end,
  };
}
