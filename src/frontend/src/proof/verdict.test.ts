import { describe, expect, it } from 'vitest';
import type { PromiseState, PromiseView, ProofView } from '../api/types';
import { verdict } from './verdict';

const proof = (running: boolean, ...promises: [PromiseState, string?][]) =>
  ({ running, promises: promises.map(([state, note = '']) => ({ state, note }) as PromiseView) }) as ProofView;

describe('one verdict', () => {
  it.each<[string, number, ProofView | undefined, string]>([
    ['both agree', 0, proof(false, ['proven'], ['off'], ['broken', 'a bench craft']), 'right'],
    ['a rule finds something', 1, proof(false, ['proven']), 'wrong'],
    ['a promise is broken', 0, proof(false, ['proven'], ['broken']), 'wrong'],
    ['a promise says nothing', 0, proof(false, ['vacuous']), 'wrong'],
    ['a promise could not be proven', 0, proof(false, ['not-proven']), 'wrong'],
    ['one is broken and the proof runs on', 0, proof(true, ['broken'], ['waiting']), 'wrong'],
    ['the proof runs', 0, proof(true, ['proven'], ['running']), 'not-yet'],
    ['the proof runs, all but ended', 0, proof(true, ['proven']), 'not-yet'],
    ['the proof is not known', 0, undefined, 'not-yet'],
    ['no promise is there', 0, proof(false), 'not-yet'],
    ['the proof was cancelled', 0, proof(false, ['proven'], ['waiting']), 'unfinished'],
  ])('when %s', (_, findings, view, says) => {
    expect(verdict(findings, view)).toBe(says);
  });

  it('waits for the findings of the revision at hand', () => {
    expect(verdict(0, proof(false, ['proven']), true)).toBe('not-yet');
  });
});
