import { useQuery } from '@tanstack/react-query';
import { verdictQuery } from '../api/queries';

/** While the proof or the search for fixes goes on, the verdict is looked at again so often, in milliseconds. */
const LOOK = 500;

/** The one verdict on a craft: it begins by itself after every change, and is looked at again until nothing goes on. */
export function useVerdict(id: string) {
  return useQuery({
    ...verdictQuery(id),
    refetchInterval: ({ state }) => (state.data && !state.data.running && !state.data.searching ? false : LOOK),
  });
}
