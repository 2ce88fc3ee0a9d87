import { lazy, type ComponentType, type LazyExoticComponent } from 'react';
import { doubtServer, serverThere } from '../api/server';

type Page<P> = { default: ComponentType<P> };

const fetches: (() => Promise<unknown>)[] = [];

/** So often a page is asked for before it is said that it cannot be shown. */
const TRIES = 4;

/** A page whose script comes when it is opened, or when the browser has nothing else to do. While the server is away it is waited for. */
export function later<P>(load: () => Promise<Page<P>>): LazyExoticComponent<ComponentType<P>> {
  const patient = async (): Promise<Page<P>> => {
    for (let tries = 1; ; tries++)
      try {
        return await load();
      } catch (error) {
        if (tries === TRIES) throw error;
        doubtServer();
        await serverThere();
      }
  };
  fetches.push(load);
  return lazy(patient);
}

/** Fetches the scripts of all pages, one after the other, so that they are there when the server is not. */
export async function fetchAhead(): Promise<void> {
  // What was registered by a page that was fetched just now is in the list, too.
  for (const load of fetches) await load().catch(() => undefined);
}
