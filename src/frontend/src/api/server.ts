import { onlineManager } from '@tanstack/react-query';
import { useSyncExternalStore } from 'react';

/** So long after one question whether the server is there the next one is asked, and so long an answer is waited for, in milliseconds. */
const ASK_AGAIN = 500;
const PATIENCE = 4_000;

// The server may run on a machine without any network: what the browser believes of the network says nothing.
onlineManager.setEventListener(() => () => undefined);

let since: Date | null = null;
let times = 0;

/** Since when the server is away; null while it is there. */
export const awaySince = (): Date | null => since;

/** How often the server has been away. What was asked for before it went away must not be done after it came back. */
export const timesAway = (): number => times;

/** Something that should have answered did not. Until the server answers again all questions wait, and then they are asked anew. */
export function doubtServer(): void {
  if (since) return;
  since = new Date();
  times++;
  onlineManager.setOnline(false);
  void askUntilThere();
}

async function askUntilThere(): Promise<void> {
  while (!(await isThere())) await new Promise((done) => setTimeout(done, ASK_AGAIN));
  since = null;
  onlineManager.setOnline(true);
}

// Not through the client of the other questions: those wait for this one.
const isThere = () =>
  fetch('/api/alive', { signal: AbortSignal.timeout(PATIENCE), cache: 'no-store' }).then(
    (response) => response.ok,
    () => false,
  );

/** Since when the server is away, kept up to date. */
export const useAwaySince = (): Date | null =>
  useSyncExternalStore((heard) => onlineManager.subscribe(heard), awaySince);

/** Ends when the server is there. */
export const serverThere = (): Promise<void> =>
  new Promise((there) => {
    if (!since) return there();
    const leave = onlineManager.subscribe((online) => {
      if (!online) return;
      leave();
      there();
    });
  });
