import { createContext, use, useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { useQuery } from '@tanstack/react-query';
import { answer, api } from '../api/client';
import type { LookAheadView, SetupEdit, VerdictAheadView } from '../api/types';

/** So long a pointer or the typing rests before anybody is asked, in milliseconds. */
const REST_MS = 250;

/** While it is being proven how promises would stand, it is asked again so often. */
const AGAIN_MS = 500;

/** Looks at what an edit would change before it is made. */
export interface Look {
  /** What the edit that is looked at would change; null while none is, or nothing is known. */
  ahead: LookAheadView | null;
  /** What it would change of the verdict; null while nothing is known. */
  judged: VerdictAheadView | null;
  /** The title of the edit that is looked at. */
  title: string;
  /** True when what was touched lies in the lower half of the window. */
  low: boolean;
  /** Looks at an edit, once the hand rests. */
  at: (edit: SetupEdit | null, touched: Element) => void;
  /** Looks at nothing any more. */
  away: () => void;
}

export const LookContext = createContext<Look>({
  ahead: null,
  judged: null,
  title: '',
  low: false,
  at: () => undefined,
  away: () => undefined,
});

export const useLook = () => use(LookContext);

/** Keeps what is looked at of a craft.
 * @param followed the control that is followed along the path
 * @param revision what an edit was looked at on; another revision ends it */
export function useLooking(id: string, revision: number, followed: string): Look {
  const [looked, setLooked] = useState<{ edit: SetupEdit; low: boolean; revision: number } | null>(null);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  useEffect(() => () => clearTimeout(timer.current), []);
  const current = looked?.revision === revision ? looked : null;
  const edit = current?.edit;
  const asked = {
    enabled: current !== null,
    // What was refused stays refused.
    retry: false,
    gcTime: 0,
  };
  const seen = useQuery({
    ...asked,
    queryKey: ['setup', id, 'ahead', revision, edit, followed],
    queryFn: ({ signal }) =>
      answer(
        api.POST('/api/setups/{id}/look-ahead', {
          params: { path: { id }, query: { follow: followed } },
          body: edit!,
          signal,
        }),
      ),
  });
  const verdict = useQuery({
    ...asked,
    queryKey: ['setup', id, 'ahead', revision, edit],
    queryFn: ({ signal }) =>
      answer(api.POST('/api/setups/{id}/look-ahead/verdict', { params: { path: { id } }, body: edit!, signal })),
    refetchInterval: ({ state }) => (state.data?.running ? AGAIN_MS : false),
  });
  const at = useCallback(
    (edit: SetupEdit | null, touched: Element) => {
      clearTimeout(timer.current);
      const { top, bottom } = touched.getBoundingClientRect();
      const low = (top + bottom) / 2 > window.innerHeight / 2;
      timer.current = setTimeout(() => setLooked(edit && { edit, low, revision }), REST_MS);
    },
    [revision],
  );
  const away = useCallback(() => {
    clearTimeout(timer.current);
    setLooked(null);
  }, []);
  const ahead = (current && seen.data) ?? null;
  const judged = (current && verdict.data) ?? null;
  const [title, low] = [current?.edit.title ?? '', current?.low ?? false];
  return useMemo(() => ({ ahead, judged, title, low, at, away }), [ahead, judged, title, low, at, away]);
}
