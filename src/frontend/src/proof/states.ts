import type { PromiseState, PromiseView } from '../api/types';

/** What a state of a promise is called. */
export const STATE_NAMES: Record<PromiseState, string> = {
  waiting: 'not looked at yet',
  running: 'being proven',
  proven: 'proven',
  broken: 'broken',
  'not-proven': 'not proven',
  vacuous: 'says nothing',
  off: 'off',
};

/** A promise that is not kept and that the pilot has not decided to live with. */
export function isOpen({ state, note }: PromiseView): boolean {
  return (state === 'broken' || state === 'vacuous' || state === 'not-proven') && note === '';
}

/** The verdict on all promises in a few words, for the path. */
export function verdictOf(promises: readonly PromiseView[], running: boolean): { figure: string; note: string } {
  const counted = promises.filter((p) => p.state !== 'off');
  const proven = counted.filter((p) => p.state === 'proven').length;
  const open = counted.filter(isOpen).length;
  const figure = `${proven}/${counted.length}`;
  if (running) return { figure, note: 'proving…' };
  if (open > 0) return { figure, note: `${open} of the promises not kept` };
  // A proof that was cancelled between two promises.
  const left = counted.filter((p) => p.state === 'waiting').length;
  if (left > 0) return { figure, note: `${left} of the promises not looked at` };
  return { figure, note: proven === counted.length ? 'every promise proven' : 'the rest kept as it is, with a reason' };
}

/** A count that may be huge: its figures, or a few of them with the word for what they count. */
export const roughly = (count: number): string =>
  count < 1e6
    ? count.toLocaleString('en')
    : count < 1e9
      ? `${(count / 1e6).toFixed(1)} million`
      : `${(count / 1e9).toFixed(1)} billion`;
