import { useMemo, useSyncExternalStore } from 'react';

/** Is told when the theme, or the system's own colours, change. */
function watch(changed: () => void): () => void {
  const theme = new MutationObserver(changed);
  theme.observe(document.documentElement, { attributes: true, attributeFilter: ['data-theme'] });
  const forced = window.matchMedia('(forced-colors: active)');
  forced.addEventListener('change', changed);
  return () => {
    theme.disconnect();
    forced.removeEventListener('change', changed);
  };
}

const NAMES = ['ink', 'soft', 'hair', 'sheet', 'sea', 'rust', 'ochre', 'moss', 'rust-wash', 'moss-wash'] as const;

export type Colours = Record<(typeof NAMES)[number], string>;

/** The colours of now, for what is drawn on a canvas, where no variable reaches. */
export function useColours(): Colours {
  const all = useSyncExternalStore(watch, () => {
    const style = getComputedStyle(document.documentElement);
    return NAMES.map((name) => style.getPropertyValue(`--${name}`)).join(';');
  });
  // The same object until one of them is another: drawings are made anew with it.
  return useMemo(() => {
    const values = all.split(';');
    return Object.fromEntries(NAMES.map((name, i) => [name, values[i]!])) as Colours;
  }, [all]);
}
