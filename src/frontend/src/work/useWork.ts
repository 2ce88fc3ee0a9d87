import { useQuery } from '@tanstack/react-query';
import { workQuery } from '../api/queries';

/** While the proof goes on, what remains is looked at again so often, in milliseconds. */
const LOOK = 1500;

/** What remains to be done on a craft. */
export function useWork(id: string) {
  return useQuery({ ...workQuery(id), refetchInterval: ({ state }) => (state.data?.running ? LOOK : false) });
}
