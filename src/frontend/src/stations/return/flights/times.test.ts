import { expect, test } from 'vitest';
import { flightTime, span } from './times';

test('a time of a flight has two figures for its seconds', () => {
  expect([0, 9_940, 59_960, 61_000, 3_600_000].map((ms) => flightTime(ms, 1))).toEqual([
    '0:00.0',
    '0:09.9',
    '1:00.0',
    '1:01.0',
    '60:00.0',
  ]);
  expect([59_400, 59_600, 125_000].map((ms) => flightTime(ms))).toEqual(['0:59', '1:00', '2:05']);
});

test('few seconds have tenths', () => {
  expect([400, 19_950, 35_400].map(span)).toEqual(['0.4 s', '20 s', '35 s']);
});
