import { useCallback, useEffect, useRef, type MouseEvent } from 'react';

/** Lets the press of a button wait while what the button stands for is being renewed. It is done afterwards, where the button is still there
 *  and says the same; the focus stays where it is. */
export function useWaitingPress(renewed: boolean): (event: MouseEvent) => void {
  const asked = useRef<{ button: HTMLElement; words: string | null } | null>(null);
  useEffect(() => {
    if (renewed || asked.current === null) return;
    const { button, words } = asked.current;
    asked.current = null;
    if (button.isConnected && button.textContent === words) button.click();
  }, [renewed]);
  return useCallback(
    (event: MouseEvent) => {
      const button = (event.target as Element).closest('button');
      if (!renewed || button === null) return;
      event.preventDefault();
      event.stopPropagation();
      asked.current = { button, words: button.textContent };
    },
    [renewed],
  );
}
