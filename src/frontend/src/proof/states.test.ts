import { describe, expect, it } from 'vitest';
import type { PromiseState, PromiseView } from '../api/types';
import { verdictOf } from './states';

const promise = (state: PromiseState, note = '') => ({ state, note }) as PromiseView;

describe('the verdict in the path', () => {
  it('counts what is proven, and says first that it still runs', () => {
    expect(verdictOf([promise('proven'), promise('running')], true)).toEqual({ figure: '1/2', note: 'proving…' });
  });

  it('counts neither what is off nor what the pilot keeps with a reason as open', () => {
    const promises = [promise('proven'), promise('off'), promise('broken', 'a bench craft')];
    expect(verdictOf(promises, false)).toEqual({ figure: '1/2', note: 'the rest kept as it is, with a reason' });
  });

  it('counts what is broken, not proven or says nothing as open', () => {
    const promises = [promise('broken'), promise('not-proven'), promise('vacuous'), promise('proven')];
    expect(verdictOf(promises, false)).toEqual({ figure: '1/4', note: '3 of the promises not kept' });
  });

  it('says what a cancelled proof has not looked at, and never that the rest is kept', () => {
    const promises = [promise('proven'), promise('waiting'), promise('waiting')];
    expect(verdictOf(promises, false)).toEqual({ figure: '1/3', note: '2 of the promises not looked at' });
  });
});
