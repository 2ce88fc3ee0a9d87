import { useState } from 'react';
import type { Setup } from '../../api/types';

/** Everything on the way from the controls to what the board shows. */
const way = ({ transmitter, model, wire, board }: Setup): string =>
  JSON.stringify([transmitter.scale, model.channels, wire.format, board.map, board.spans]);

/** Whether the way was changed after something was measured on it, and what notes that something was measured just now. */
export function useStale(setup: Setup): [stale: boolean, measured: () => void] {
  const [on, setOn] = useState<string | null>(null);
  const now = way(setup);
  return [on !== null && on !== now, () => setOn(now)];
}
