import { number, object } from 'valibot';
import { describe, expect, it } from 'vitest';
import { parseKept } from './useKept';

describe('what a browser has kept', () => {
  const shape = object({ revision: number() });

  it('is taken when it has the shape that is meant', () => {
    expect(parseKept('{"revision":3}', shape)).toEqual({ revision: 3 });
  });

  it.each([null, '', '{', 'null', '[]', '{}', '{"revision":"3"}', '{"revision":null}'])(
    'is passed over when it is damaged or of another version: %s',
    (text) => {
      expect(parseKept(text, shape)).toBeNull();
    },
  );
});
