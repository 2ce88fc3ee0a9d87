import { describe, expect, it } from 'vitest';
import { listed } from './listed';

describe('listed', () => {
  it('lists by the name that the pilot reads, numbers as numbers', () => {
    const items = { a: { label: 'Port 10' }, b: { label: 'Port 2' }, c: { label: 'Zulu', alias: 'Arm' } };
    expect(listed(items).map(([id]) => id)).toEqual(['c', 'b', 'a']);
  });

  it('lists nothing of what is not there', () => expect(listed(undefined)).toEqual([]));
});
