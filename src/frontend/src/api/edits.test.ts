import { describe, expect, it } from 'vitest';
import { freeId, makeEdit } from './edits';
import type { Setup } from './types';

const setup = { board: { map: 'AETR', functions: { 'a/b': { aux: 1 } } } } as unknown as Setup;

describe('makeEdit', () => {
  it('tests what it replaces, before it replaces anything', () => {
    const edit = makeEdit('two', setup, [
      { path: ['board', 'map'], value: 'TAER' },
      { path: ['board', 'functions', 'a/b', 'aux'], value: 2 },
    ]);
    expect(edit.operations).toEqual([
      { op: 'test', path: '/board/map', value: 'AETR' },
      { op: 'test', path: '/board/functions/a~1b/aux', value: 1 },
      { op: 'replace', path: '/board/map', value: 'TAER' },
      { op: 'replace', path: '/board/functions/a~1b/aux', value: 2 },
    ]);
  });

  it('adds what is not there yet', () => {
    expect(makeEdit('add', setup, [{ path: ['board', 'alias'], value: 'x' }]).operations).toEqual([
      { op: 'add', path: '/board/alias', value: 'x' },
    ]);
  });

  it('takes away what is there, and leaves alone what is not', () => {
    expect(makeEdit('away', setup, [{ path: ['board', 'map'], value: undefined }]).operations).toEqual([
      { op: 'test', path: '/board/map', value: 'AETR' },
      { op: 'remove', path: '/board/map' },
    ]);
    expect(makeEdit('away', setup, [{ path: ['board', 'alias'], value: undefined }]).operations).toEqual([]);
  });
});

describe('freeId', () => {
  it.each([
    ['Goggles page', {}, 'goggles-page'],
    ['channel 5', { 'channel-5': 1, 'channel-5-2': 1 }, 'channel-5-3'],
    ['  טיסה  ', {}, 'item'],
    ['a name that is far too long for an id of its own', {}, 'a-name-that-is-far-too-long'],
  ])('makes an id of %j', (name, taken, id) => expect(freeId(name, taken)).toBe(id));
});
