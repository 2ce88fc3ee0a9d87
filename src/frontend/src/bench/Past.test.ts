import { describe, expect, it } from 'vitest';
import type { BenchMessage, LogEntry } from '../api/types';
import { MINUTE, Past } from './Past';

const entry = (number: number, at: number) => ({ number, at, kind: 'said', text: `${number}` }) as LogEntry;
const picture = (at: number, log: LogEntry[] = []) =>
  ({ revision: 1, snapshot: { at, log } }) as unknown as BenchMessage;

function filled(...pictures: BenchMessage[]): Past {
  const past = new Past();
  for (const one of pictures) past.add(one, one.snapshot.at);
  return past;
}

describe('the last minute', () => {
  it('shows at any time what was shown last before', () => {
    const past = filled(picture(0), picture(1000), picture(5000)).until(9000);
    expect([0, 999, 1000, 4999, 5000, 9000].map((t) => past.at(t)?.message.snapshot.at)).toEqual([
      0, 0, 1000, 1000, 5000, 5000,
    ]);
    expect([past.from, past.to]).toEqual([0, 9000]);
  });

  it('keeps a minute, and what stood at its beginning', () => {
    const past = filled(picture(0, [entry(1, 0)]), picture(10_000, [entry(2, 9000)]), picture(75_000));
    expect([past.from, past.to]).toEqual([75_000 - MINUTE, 75_000]);
    expect(past.at(past.from)?.message.snapshot.at).toBe(10_000);
    expect(past.log).toEqual([]);
  });

  it('thins what comes fast, but nothing in which something happened', () => {
    const fast = Array.from({ length: 600 }, (_, i) => picture(i * 16, i === 300 ? [entry(1, i * 16)] : []));
    const past = filled(...fast);
    const seen = new Set(Array.from({ length: 9600 }, (_, t) => past.at(t)?.message.snapshot.at));
    expect(seen.size).toBeLessThan(310);
    expect(seen).toContain(4800);
    expect(past.at(9584)?.message.snapshot.at).toBe(9584);
  });

  it('tells an entry once, though a new stream brings it again, and only from when it happened', () => {
    const past = filled(picture(0, [entry(1, 0)]), picture(500, [entry(1, 0), entry(2, 400)]));
    expect(past.log.map((e) => e.number)).toEqual([1, 2]);
    expect(past.at(399)?.log.map((e) => e.number)).toEqual([1]);
    expect(past.at(400)?.log.map((e) => e.number)).toEqual([1, 2]);
  });

  it('shows what happened from when it happened, in the picture that tells it', () => {
    const past = filled(picture(0), picture(500, [entry(1, 420)]), picture(900));
    expect([419, 420, 899, 900].map((t) => past.at(t)?.message.snapshot.at)).toEqual([0, 500, 500, 900]);
  });

  it('begins anew with a bench that was set up anew, and does not change once it ended', () => {
    const past = filled(picture(50_000, [entry(9, 50_000)]));
    const ended = past.until(50_000);
    past.add(picture(10), 60_000);
    expect([past.from, past.to, past.log]).toEqual([10, 10, []]);
    expect([ended.to, ended.log.length]).toEqual([50_000, 1]);
    expect(new Past().until(5).at(5)).toBeNull();
  });
});
