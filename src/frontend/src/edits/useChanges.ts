import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useRef, useState } from 'react';
import { answer, api, ProblemError, reasonOf } from '../api/client';
import { setupQuery, setupsQuery } from '../api/queries';
import { awaySince, timesAway } from '../api/server';
import { whoAsks, type Refusal } from '../ui/refusal';
import type { Removal, SetupDocument, SetupEdit } from '../api/types';

/** Whether the last change is saved. */
type SaveState = { kind: 'saved' } | { kind: 'saving' } | ({ kind: 'failed'; message: string } & Refusal);

type Attempt = (current: SetupDocument) => Promise<SetupDocument>;

const failed = (error: unknown, asked: Pick<Refusal, 'field' | 'typed'> = { field: null, typed: '' }): SaveState => {
  const known = error instanceof Error ? error : new Error(String(error));
  return { kind: 'failed', message: known.message, reason: reasonOf(known), ...asked };
};

/** Everything that changes a setup. */
export interface Changes {
  state: SaveState;
  edit: (edit: SetupEdit) => Promise<unknown>;
  /** The edit that something asks for, which is not made; null when it asks for none. */
  whatIf: (act: () => void) => SetupEdit | null;
  fix: (finding: string, fix: string) => Promise<unknown>;
  justify: (finding: string, note: string) => Promise<unknown>;
  /** Keeps a promise as it is for a reason, switches it off, or takes both back with an empty reason. */
  decide: (promise: string, on: boolean, note: string) => Promise<unknown>;
  sendOrder: (order: string) => Promise<unknown>;
  /** Builds a ready-made chain into the model; true when it is in and saved. */
  build: (chain: string, wanted: Record<string, string>) => Promise<boolean>;
  /** Fills the chains from a table flight state x channel. */
  putStateTable: (table: Record<string, Record<string, number>>) => Promise<unknown>;
  /** Sets the link up from a mode of a radio system. */
  useProfile: (profile: string, mode: number) => Promise<unknown>;
  /** Puts the signal quality onto a channel. */
  putQuality: (way: 'receiver' | 'transmitter', channel: number, sensor?: string) => Promise<unknown>;
  /** Takes over what a range check found: at so many metres so many percent of the packets came. */
  putRangeCheck: (quality: number, metres: number) => Promise<unknown>;
  /** What taking a thing out means; null when that could not be asked. */
  removalOf: (place: string) => Promise<Removal | null>;
  /** Goes back to what a revision was. */
  restore: (revision: number) => Promise<unknown>;
  undo: () => Promise<unknown>;
  redo: () => Promise<unknown>;
}

/**
 * Changes a setup, one change after the other. A change that meets a newer revision is tried once more on that one: its tests say
 * whether it still holds there.
 */
export function useChanges(id: string): Changes {
  const client = useQueryClient();
  const [state, setState] = useState<SaveState>({ kind: 'saved' });
  const queue = useRef<Promise<unknown>>(Promise.resolve());

  // Takes an edit that is not to be made.
  const aside = useRef<((edit: SetupEdit) => void) | null>(null);
  const whatIf = useCallback((act: () => void) => {
    let asked: SetupEdit | null = null;
    aside.current = (edit) => (asked = edit);
    try {
      act();
    } finally {
      aside.current = null;
    }
    return asked;
  }, []);

  const run = useCallback(
    (attempt: Attempt) => {
      const asked = whoAsks();
      // What was asked for while the server was away, or before it went away, is not done when it is back.
      const [away, times] = [awaySince(), timesAway()];
      const work = async () => {
        let done = false;
        setState({ kind: 'saving' });
        try {
          if (away ?? timesAway() !== times) throw new ProblemError(0, 'The server does not answer.');
          const current = await client.query({ ...setupQuery(id), staleTime: 'static' });
          const saved = await attempt(current).catch(async (error: unknown) => {
            if (!(error instanceof ProblemError) || error.status !== 412) throw error;
            const newer = await client.query({ ...setupQuery(id), staleTime: 0 });
            return attempt(newer);
          });
          client.setQueryData(setupQuery(id).queryKey, saved);
          setState({ kind: 'saved' });
          done = true;
        } catch (error) {
          setState(failed(error, asked));
        }
        await client.invalidateQueries({ queryKey: ['setup', id] });
        void client.invalidateQueries({ queryKey: setupsQuery.queryKey });
        return done;
      };
      const result = queue.current.then(work);
      queue.current = result;
      return result;
    },
    [client, id],
  );

  const at = ({ revision }: SetupDocument, more: Record<string, string> = {}) => ({
    params: { path: { id, ...more } as never },
    headers: { 'If-Match': `"${revision}"` },
  });
  const edit = (made: SetupEdit) =>
    aside.current
      ? Promise.resolve(aside.current(made))
      : run((current) => answer(api.POST('/api/setups/{id}/edits', { ...at(current), body: made })));

  return {
    state,
    edit,
    whatIf,
    fix: (key, fix) =>
      run((current) => answer(api.POST('/api/setups/{id}/findings/{key}/fixes/{fix}', at(current, { key, fix })))),
    justify: (key, note) =>
      run((current) =>
        answer(api.PUT('/api/setups/{id}/findings/{key}/justification', { ...at(current, { key }), body: { note } })),
      ),
    decide: (code, on, note) =>
      run((current) =>
        answer(api.PUT('/api/setups/{id}/proof/{code}', { ...at(current, { code }), body: { on, note } })),
      ),
    sendOrder: (order) =>
      run(async (current) => {
        const proposal = await answer(
          api.GET('/api/setups/{id}/proposals/channel-order/{order}', { params: { path: { id, order } } }),
        );
        return answer(api.POST('/api/setups/{id}/edits', { ...at(current), body: proposal }));
      }),
    build: (chain, wanted) =>
      run((current) =>
        answer(
          api.POST('/api/setups/{id}/ready-made/{chain}', { ...at(current, { chain }), body: { arguments: wanted } }),
        ),
      ),
    putStateTable: (table) =>
      run((current) => answer(api.PUT('/api/setups/{id}/state-table', { ...at(current), body: { table } }))),
    useProfile: (profile, mode) =>
      run((current) => answer(api.PUT('/api/setups/{id}/link-profile', { ...at(current), body: { profile, mode } }))),
    putQuality: (way, channel, sensor) =>
      run((current) => answer(api.PUT('/api/setups/{id}/quality', { ...at(current), body: { way, channel, sensor } }))),
    putRangeCheck: (quality, metres) =>
      run((current) => answer(api.PUT('/api/setups/{id}/range-check', { ...at(current), body: { quality, metres } }))),
    removalOf: async (place) => {
      try {
        // What is being saved comes first.
        await queue.current;
        return await answer(api.GET('/api/setups/{id}/removals', { params: { path: { id }, query: { place } } }));
      } catch (error) {
        setState(failed(error));
        return null;
      }
    },
    restore: (number) =>
      run((current) =>
        answer(
          api.POST('/api/setups/{id}/revisions/{number}/restore', {
            params: { path: { id, number } },
            headers: { 'If-Match': `"${current.revision}"` },
          }),
        ),
      ),
    // Whether there is anything to take back is known only when the changes before it are through.
    undo: () =>
      run(async (current) =>
        current.undoTitle === null ? current : answer(api.POST('/api/setups/{id}/undo', at(current))),
      ),
    redo: () =>
      run(async (current) =>
        current.redoTitle === null ? current : answer(api.POST('/api/setups/{id}/redo', at(current))),
      ),
  };
}
