import { useCallback, useSyncExternalStore } from 'react';
import { is, type GenericSchema } from 'valibot';

const values = new Map<string, unknown>();
const listeners = new Set<() => void>();

const listen = (heard: () => void) => {
  listeners.add(heard);
  return () => void listeners.delete(heard);
};

/** A text that a browser keeps as what it says; null when there is none, or none of this shape: another version may have kept it. */
export function parseKept<T>(text: string | null, shape: GenericSchema<T>): T | null {
  try {
    const value: unknown = JSON.parse(text ?? 'null');
    return is(shape, value) ? value : null;
  } catch {
    return null;
  }
}

/** What was kept under a key; the value to begin with when there is nothing, or nothing that can be read. */
function read<T>(key: string, shape: GenericSchema<T>, begin: T, where: Storage): T {
  if (!values.has(key)) values.set(key, parseKept(where.getItem(key), shape) ?? begin);
  return values.get(key) as T;
}

/** A value that outlives its page: it stays as long as the tab is open, also when it is loaded anew, or in the browser for good.
 *  Everywhere the same under one key. */
export function useKept<T>(
  key: string,
  shape: GenericSchema<T>,
  begin: T,
  where: Storage = sessionStorage,
): [value: T, keep: (next: T) => void] {
  const value = useSyncExternalStore(listen, () => read(key, shape, begin, where));
  const keep = useCallback(
    (next: T) => {
      values.set(key, next);
      where.setItem(key, JSON.stringify(next));
      for (const heard of listeners) heard();
    },
    [key, where],
  );
  return [value, keep];
}
