import type { PromiseState, PromiseView } from '../api/types';

/** What a state of a promise is called. */
export const STATE_NAMES: Record<PromiseState, string> = {
  waiting: 'not looked at yet',
  running: 'being proven',
  proven: 'proven',
  broken: 'broken',
  'not-proven': 'not proven',
  vacuous: 'says nothing yet',
  off: 'off',
};

/** A promise that is not kept and that the pilot has not decided to live with. */
export function isOpen({ state, note }: PromiseView): boolean {
  return (state === 'broken' || state === 'vacuous' || state === 'not-proven') && note === '';
}

/** The verdict on all promises in a few words, for the path. A promise that says nothing yet is no broken one. */
export function verdictOf(
  promises: readonly PromiseView[],
  running: boolean,
): { figure: string; note: string; tone: 'broken' | 'open' | 'kept' } {
  const counted = promises.filter((p) => p.state !== 'off');
  const count = (state: PromiseState) => counted.filter((p) => p.state === state && p.note === '').length;
  const proven = counted.filter((p) => p.state === 'proven').length;
  const figure = `${proven}/${counted.length}`;
  const open = [
    [count('broken'), 'not kept'],
    [count('not-proven'), 'not proven'],
    [count('vacuous'), 'say nothing yet'],
    // A proof that was cancelled between two promises.
    [running ? 0 : count('waiting'), 'not looked at'],
  ] as const;
  const note = open
    .filter(([some]) => some > 0)
    .map(([some, words]) => `${some} ${words}`)
    .join(', ');
  const tone = count('broken') > 0 ? 'broken' : running || note !== '' ? 'open' : 'kept';
  if (running) return { figure, note: 'proving…', tone };
  if (note !== '') return { figure, note, tone };
  return {
    figure,
    note: proven === counted.length ? 'every promise proven' : 'the rest kept as it is, with a reason',
    tone,
  };
}

/** A count that may be huge: its figures, or a few of them with the word for what they count. */
export const roughly = (count: number): string =>
  count < 1e6
    ? count.toLocaleString('en')
    : count < 1e9
      ? `${(count / 1e6).toFixed(1)} million`
      : `${(count / 1e9).toFixed(1)} billion`;
