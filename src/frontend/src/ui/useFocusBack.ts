import { useRef } from 'react';

/** For a dialog that a key may have opened: closed, the focus is where it was before. */
export function useFocusBack() {
  const before = useRef<HTMLElement | null>(null);
  return {
    onOpenAutoFocus: () => {
      before.current = document.activeElement as HTMLElement | null;
    },
    onCloseAutoFocus: (event: Event) => {
      event.preventDefault();
      before.current?.focus();
    },
  };
}
