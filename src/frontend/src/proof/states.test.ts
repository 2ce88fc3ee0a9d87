import { describe, expect, it } from 'vitest';
import type { PromiseState, PromiseView } from '../api/types';
import { verdictOf } from './states';

const promise = (state: PromiseState, note = '') => ({ state, note }) as PromiseView;

describe('the verdict in the path', () => {
  it('counts what is proven, and says first that it still runs', () => {
    expect(verdictOf([promise('proven'), promise('running')], true)).toEqual({
      figure: '1/2',
      note: 'proving…',
      tone: 'open',
    });
  });

  it('counts neither what is off nor what the pilot keeps with a reason as open', () => {
    const promises = [promise('proven'), promise('off'), promise('broken', 'a bench craft')];
    expect(verdictOf(promises, false)).toEqual({
      figure: '1/2',
      note: 'the rest kept as it is, with a reason',
      tone: 'kept',
    });
  });

  it('tells apart what is broken, not proven and says nothing yet', () => {
    const promises = [promise('broken'), promise('not-proven'), promise('vacuous'), promise('proven')];
    const note = '1 not kept, 1 not proven, 1 say nothing yet';
    expect(verdictOf(promises, false)).toEqual({ figure: '1/4', note, tone: 'broken' });
    expect(verdictOf(promises.slice(2), false).tone).toBe('open');
  });

  it('says what a cancelled proof has not looked at, and never that the rest is kept', () => {
    const promises = [promise('proven'), promise('waiting'), promise('waiting')];
    expect(verdictOf(promises, false)).toEqual({ figure: '1/3', note: '2 not looked at', tone: 'open' });
  });
});
