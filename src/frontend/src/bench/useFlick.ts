import { useEffect, useRef, useState } from 'react';
import type { ControlView } from '../api/types';
import { useBench } from './BenchProvider';

/** A stick or a dial must move so far, in percent, to count as meant. */
const CLEAR_MOVE = 30;

/**
 * Finds the control that the pilot flicks: the first one that clearly moves is the candidate, and when it moves once more it is
 * taken. Another one that moves in between becomes the candidate instead.
 * @returns the id of the candidate, or null before the first movement
 */
export function useFlick(
  active: boolean,
  controls: readonly ControlView[],
  take: (control: string) => void,
): string | null {
  const { link } = useBench();
  const [candidate, setCandidate] = useState<string | null>(null);
  const taken = useRef(take);
  useEffect(() => {
    taken.current = take;
  });

  useEffect(() => {
    if (!active) return;
    // Of now, whatever is looked back at.
    const settings = () => link.settings();
    let rest = settings();
    let first: string | null = null;
    const unsubscribe = link.subscribe(() => {
      const now = settings();
      const moved = controls.find(({ id, positions }) => {
        const by = Math.abs((now[id] ?? 0) - (rest[id] ?? 0));
        return positions.length > 0 ? by > 0 : by >= CLEAR_MOVE;
      })?.id;
      if (!moved) return;
      rest = now;
      if (moved === first) taken.current(moved);
      first = moved;
      setCandidate(moved);
    });
    return () => {
      unsubscribe();
      setCandidate(null);
    };
  }, [active, controls, link]);
  return candidate;
}
