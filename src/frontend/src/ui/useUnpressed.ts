import { useEffect, useState } from 'react';

let pressed = false;
const waiting = new Set<() => void>();

/** Whether anything is pressed is read off each event: a list or a menu that the system draws takes the release with it. */
function follow(event: PointerEvent): void {
  const now = event.buttons !== 0 && event.type !== 'pointercancel';
  // What was pressed is told of its release first.
  if (pressed && !now) setTimeout(() => waiting.forEach((show) => show()));
  pressed = now;
}

for (const type of ['pointerdown', 'pointermove', 'pointerup', 'pointercancel'] as const)
  addEventListener(type, follow, true);

/** A value that decides where things lie: while a pointer is down it stays what it was, so that nothing moves away between press and
 *  release. */
export function useUnpressed<T>(value: T): T {
  const [shown, setShown] = useState(value);
  useEffect(() => {
    const show = () => setShown(value);
    if (pressed) waiting.add(show);
    else show();
    return () => void waiting.delete(show);
  }, [value]);
  return shown;
}
