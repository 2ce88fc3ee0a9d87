import { useEffect, useState } from 'react';

let pressed = false;

/** Calls back once nothing is pressed any more, when what was pressed has been told of it. */
function onRelease(then: () => void): () => void {
  let timer: ReturnType<typeof setTimeout> | undefined;
  const later = () => (timer = setTimeout(then));
  addEventListener('pointerup', later, true);
  addEventListener('pointercancel', later, true);
  return () => {
    clearTimeout(timer);
    removeEventListener('pointerup', later, true);
    removeEventListener('pointercancel', later, true);
  };
}

addEventListener('pointerdown', () => (pressed = true), true);
addEventListener('pointerup', () => (pressed = false), true);
addEventListener('pointercancel', () => (pressed = false), true);

/** A value that decides where things lie: while a pointer is down it stays what it was, so that nothing moves away between press and
 *  release. */
export function useUnpressed<T>(value: T): T {
  const [shown, setShown] = useState(value);
  useEffect(() => {
    const show = () => setShown(value);
    if (pressed && !Object.is(shown, value)) return onRelease(show);
    show();
    return undefined;
  }, [shown, value]);
  return shown;
}
