const KEY = 'zephyros-theme';

type Theme = 'light' | 'dark';

function current(): Theme {
  return document.documentElement.dataset.theme === 'dark' ? 'dark' : 'light';
}

/** Shows the theme that was chosen last; the system's own the first time. */
export function applyStoredTheme(): void {
  const stored = localStorage.getItem(KEY);
  const system = window.matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light';
  document.documentElement.dataset.theme = stored === 'light' || stored === 'dark' ? stored : system;
}

/** Changes between sun (light) and shed (dark). */
export function toggleTheme(): void {
  const next: Theme = current() === 'dark' ? 'light' : 'dark';
  document.documentElement.dataset.theme = next;
  localStorage.setItem(KEY, next);
}
