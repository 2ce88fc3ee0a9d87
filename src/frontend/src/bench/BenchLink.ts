import { replaceEqualDeep } from '@tanstack/react-query';
import { HubConnectionBuilder, HubConnectionState, LogLevel, type ISubscription } from '@microsoft/signalr';
import { doubtServer } from '../api/server';
import type { BenchCalls, BenchMessage, LogEntry } from '../api/types';
import { Asked } from './Asked';
import { aroundOf, type Around } from './craftSteps';
import { Past } from './Past';

/** What is known of the live bench. */
export interface BenchState {
  /** "live" while pictures arrive; nothing that is moved in the other states reaches the bench, now or later. */
  connection: 'connecting' | 'live' | 'reconnecting';
  message: BenchMessage | null;
  /** What was said and what happened lately, the oldest first. A picture carries only what is new. */
  log: readonly LogEntry[];
  /** What is looked back at; null while picture and log are of now. Nothing that is moved meanwhile reaches the bench. */
  back: LookBack | null;
}

/** A look back at the last minute. */
export interface LookBack {
  /** The minute as it was when the look back began. */
  past: Past;
  /** The virtual time that is looked at, in milliseconds. */
  at: number;
}

const RETRY_AFTER_MS = 700;

/** A server that has said nothing for so long is away; it says every few seconds that it is there. */
const SILENCE_MS = 10_000;

/** How much of the log is kept. */
const LOG_KEPT = 40;

/** The connection to the live bench of one setup. It lives as long as a page shows the setup. */
export class BenchLink {
  private readonly hub = new HubConnectionBuilder()
    .withUrl('/hub/bench')
    .withAutomaticReconnect({ nextRetryDelayInMilliseconds: () => RETRY_AFTER_MS })
    .withServerTimeout(SILENCE_MS)
    .configureLogging(LogLevel.None)
    .build();
  private readonly listeners = new Set<() => void>();
  private state: BenchState = { connection: 'connecting', message: null, log: [], back: null };
  private latest: Pick<BenchState, 'message' | 'log'> = { message: null, log: [] };
  private past = new Past();
  private stream: ISubscription<BenchMessage> | null = null;
  private readonly askedHands = new Asked();
  private readonly askedAround = new Asked();
  private wanted: Omit<BenchCalls['Watch'], 'setup'> = { follow: 'throttle', workings: false };
  private moving: Record<string, number> = {};
  private closed = false;

  constructor(private readonly setup: string) {
    this.hub.onreconnecting(() => {
      this.askedHands.clear();
      this.askedAround.clear();
      this.lost();
    });
    this.hub.onreconnected(() => this.watch());
  }

  /** Connects, and keeps trying. */
  async open(): Promise<void> {
    while (!this.closed) {
      try {
        await this.hub.start();
        this.watch();
        return;
      } catch {
        this.lost();
        await new Promise((done) => setTimeout(done, RETRY_AFTER_MS));
      }
    }
  }

  /** Shows the bench as it was at a virtual time, in milliseconds, of the last minute; null shows it as it is. */
  lookBack(at: number | null): void {
    if (at === null) return this.become({ ...this.latest, back: null });
    const past = this.state.back?.past ?? this.past.until(performance.now());
    const time = Math.min(Math.max(at, past.from), past.to);
    const then = past.at(time);
    if (then) this.become({ ...then, back: { past, at: time } });
  }

  close(): void {
    this.closed = true;
    void this.hub.stop();
  }

  /** Follows another control along the path. */
  follow(control: string): void {
    this.want({ follow: control });
  }

  /** Lets pictures carry the sums along the path too, or not. */
  showWorkings(workings: boolean): void {
    this.want({ workings });
  }

  /** Moves a control. What is moved in one go, as two axes of a stick are, is moved at the same moment. */
  move(control: string, setting: number): void {
    if (!this.reaches()) return;
    // Pressed and let go is two movements.
    if (control in this.moving) this.sendMoves();
    if (Object.keys(this.moving).length === 0) queueMicrotask(() => this.sendMoves());
    this.moving[control] = setting;
    this.askedHands.put(control, setting);
  }

  /** Where the controls stand, or are about to. */
  settings(): Record<string, number> {
    return this.askedHands.over(this.latest.message?.snapshot.settings ?? {});
  }

  report(sensor: string, reading: number): void {
    this.tell('Report', { sensor, reading });
  }

  /** Lets a sensor that is held by hand measure again what there is. */
  release(sensor: string): void {
    this.tell('Release', { sensor });
  }

  /** Begins anew to keep the lowest and highest readings. */
  resetExtremes(): void {
    this.tell('ResetExtremes', {});
  }

  /** Lets a timer of the transmitter begin anew. */
  resetTimer(timer: string): void {
    this.tell('ResetTimer', { timer });
  }

  /** Puts a battery into the craft of which a share of the charge is left, in percent. */
  putBattery(left: number): void {
    this.tell('PutBattery', { left });
  }

  /** Lets as much current flow for a while as at full throttle. */
  burst(): void {
    this.tell('Burst', {});
  }

  /** What happens to the craft from outside, or is about to. */
  around(): Around {
    return this.askedAround.over(aroundOf(this.latest));
  }

  setLink(up: boolean): void {
    if (this.tell('SetLink', { on: up })) this.askedAround.put('link', up);
  }

  setPower(on: boolean): void {
    if (this.tell('SetPower', { on })) this.askedAround.put('power', on);
  }

  /** Tilts the craft, connects it for configuration, unlocks arming while connected, gives the board a position fix. */
  surround(change: Partial<Pick<Around, 'tilt' | 'connected' | 'unlocked' | 'fix'>>): void {
    const { tilt, connected, unlocked, fix } = { ...this.around(), ...change };
    if (this.tell('Surround', { tilt, connected, unlocked, fix }))
      for (const [name, value] of Object.entries(change)) this.askedAround.put(name, value);
  }

  /** Takes the craft to a distance in kilometres at which packets are lost; null is the bench. */
  setDistance(kilometres: number | null): void {
    this.tell('SetDistance', { kilometres });
  }

  /** Begins a guided measuring routine, or ends it. */
  guide(kind: BenchCalls['Guide']['kind']): void {
    this.tell('Guide', { kind });
  }

  /** Begins to guide through a loss of the signal, or ends it. */
  tryLoss(on: boolean): void {
    this.tell('TryLoss', { on });
  }

  /** Leaves out what the guided routine asks for. */
  skipStep(): void {
    this.tell('SkipStep', {});
  }

  /** Begins anew to look how far the board's bars go. */
  watchBars(): void {
    this.tell('WatchBars', {});
  }

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  snapshot = (): BenchState => this.state;

  private isUp(): boolean {
    return this.hub.state === HubConnectionState.Connected;
  }

  // A movement that cannot be delivered at once is dropped: it must not arrive later, when nobody expects it.
  private reaches(): boolean {
    return this.isUp() && !this.state.back;
  }

  private tell<M extends keyof BenchCalls>(method: M, call: Omit<BenchCalls[M], 'setup'>): boolean {
    if (!this.reaches()) return false;
    // What was moved before comes before.
    this.sendMoves();
    void this.hub.send(method, { setup: this.setup, ...call });
    return true;
  }

  private sendMoves(): void {
    const settings = this.moving;
    this.moving = {};
    if (Object.keys(settings).length > 0) this.tell('Move', { settings });
  }

  private want(change: Partial<typeof this.wanted>): void {
    const before = this.wanted;
    this.wanted = { ...before, ...change };
    if (replaceEqualDeep(before, this.wanted) !== before && this.isUp())
      void this.hub.send('Follow', { setup: this.setup, ...this.wanted });
  }

  private watch(): void {
    this.stream?.dispose();
    // The first picture of a stream brings the latest entries anew.
    let known: readonly LogEntry[] = [];
    const call: BenchCalls['Watch'] = { setup: this.setup, ...this.wanted };
    this.stream = this.hub.stream<BenchMessage>('Watch', call).subscribe({
      next: (message) => {
        this.askedHands.see(message.snapshot.settings);
        this.askedAround.see(aroundOf({ message }));
        known = [...known, ...message.snapshot.log].slice(-LOG_KEPT);
        // What is as it was in the picture before is the same object again, so that nothing has to be compared but by identity.
        this.latest = { message: replaceEqualDeep(this.latest.message, message), log: known };
        this.past.add(this.latest.message!, performance.now());
        this.become({ connection: 'live', ...(this.state.back ? {} : this.latest) });
      },
      error: () => this.lost(),
      complete: () => undefined,
    });
  }

  private lost(): void {
    this.become({ connection: 'reconnecting' });
    if (!this.closed) doubtServer();
  }

  private become(change: Partial<BenchState>): void {
    this.state = { ...this.state, ...change };
    for (const listener of this.listeners) listener();
  }
}
