import { useEffect, useRef, useState } from 'react';

/** So long after the last movement the bench has shown it, and is followed again, in milliseconds. */
const RESTS = 400;

/**
 * A value under the pilot's hand. It shows each movement at once and not when the bench has answered: of keys that come
 * faster than its answers, each would otherwise begin where an older one ended.
 */
export function useUnderHand(shown: number, send: (value: number) => void) {
  const [held, setHeld] = useState<number | null>(null);
  const rest = useRef<number | undefined>(undefined);
  useEffect(() => () => window.clearTimeout(rest.current), []);
  const move = (value: number) => {
    setHeld(value);
    send(value);
    window.clearTimeout(rest.current);
    rest.current = window.setTimeout(() => setHeld(null), RESTS);
  };
  return [held ?? shown, move] as const;
}
