import type { BenchMessage, LogEntry } from '../api/types';

/** So much is kept, in milliseconds. */
export const MINUTE = 60_000;

/** Pictures that follow each other faster, in milliseconds, are kept as one unless something happened. */
const APART = 40;

interface Moment {
  /** The virtual time from which it is shown. */
  from: number;
  message: BenchMessage;
}

/** What the bench showed and what happened on it within the last minute of its virtual time. */
export class Past {
  private moments: Moment[] = [];
  private entries: LogEntry[] = [];
  private cameAt = 0;
  private end: number | null = null;

  /** Takes a picture that comes at a time of the browser's clock, in milliseconds. */
  add(message: BenchMessage, cameAt: number): void {
    const { at, log } = message.snapshot;
    const last = this.moments.at(-1);
    // A bench that was set up anew has another time.
    if (last && at < last.message.snapshot.at) [this.moments, this.entries] = [[], []];
    const known = this.entries.at(-1)?.number ?? 0;
    const happened = log.filter((e) => e.number > known);
    const [before, newest] = this.moments.slice(-2);
    if (before && newest && at - before.from < APART && newest.message.snapshot.log.length === 0) this.moments.pop();
    // What happened shows in the picture that tells it, and that comes a little later.
    this.moments.push({ from: this.moments.length > 0 ? Math.min(at, happened[0]?.at ?? at) : at, message });
    this.entries.push(...happened);
    this.cameAt = cameAt;
    // What was shown at the beginning of the minute came before it.
    while (this.moments[1] && this.moments[1].from <= at - MINUTE) this.moments.shift();
    while (this.entries[0] && this.entries[0].at < at - MINUTE) this.entries.shift();
  }

  /** The same, to which nothing is added any more; a bench that shows nothing new goes on nevertheless. */
  until(now: number): Past {
    const made = new Past();
    made.moments = [...this.moments];
    made.end = (this.moments.at(-1)?.message.snapshot.at ?? 0) + Math.max(0, now - this.cameAt);
    const { from } = made;
    made.entries = this.entries.filter((e) => e.at >= from);
    return made;
  }

  /** The virtual time at which it ends. */
  get to(): number {
    return this.end ?? this.moments.at(-1)?.message.snapshot.at ?? 0;
  }

  /** The virtual time at which it begins. */
  get from(): number {
    return Math.min(this.to, Math.max(this.to - MINUTE, this.moments[0]?.from ?? this.to));
  }

  /** What happened, the oldest first. */
  get log(): readonly LogEntry[] {
    return this.entries;
  }

  /** What was shown at a virtual time, and what had happened until then; null when nothing was shown yet. */
  at(time: number): { message: BenchMessage; log: readonly LogEntry[] } | null {
    const moment = this.moments.findLast((m) => m.from <= time) ?? this.moments[0];
    return moment ? { message: moment.message, log: this.entries.filter((e) => e.at <= time) } : null;
  }
}
