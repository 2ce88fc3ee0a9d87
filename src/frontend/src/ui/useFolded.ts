import { boolean } from 'valibot';
import { useKept } from './useKept';

/** Whether a part of the page is folded to a line; remembered by the browser. */
export const useFolded = (part: 'path' | 'bench' | 'verdict', begin = false) =>
  useKept(`zephyros-folded-${part}`, boolean(), begin, localStorage);
