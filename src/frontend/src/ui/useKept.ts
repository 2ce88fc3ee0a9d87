import { useCallback, useSyncExternalStore } from 'react';

const values = new Map<string, unknown>();
const listeners = new Set<() => void>();

const listen = (heard: () => void) => {
  listeners.add(heard);
  return () => void listeners.delete(heard);
};

/** What this tab kept under a key; the value to begin with when there is nothing, or nothing that can be read. */
function read<T>(key: string, begin: T): T {
  if (!values.has(key)) {
    try {
      values.set(key, JSON.parse(sessionStorage.getItem(key) ?? 'null') ?? begin);
    } catch {
      values.set(key, begin);
    }
  }
  return values.get(key) as T;
}

/** A value that outlives its page: it stays as long as the tab is open, also when it is loaded anew. Everywhere the same under one key. */
export function useKept<T>(key: string, begin: T): [value: T, keep: (next: T) => void] {
  const value = useSyncExternalStore(listen, () => read(key, begin));
  const keep = useCallback(
    (next: T) => {
      values.set(key, next);
      sessionStorage.setItem(key, JSON.stringify(next));
      for (const heard of listeners) heard();
    },
    [key],
  );
  return [value, keep];
}
