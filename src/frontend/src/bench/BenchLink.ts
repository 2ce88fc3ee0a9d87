import { HubConnectionBuilder, HubConnectionState, LogLevel, type ISubscription } from '@microsoft/signalr';
import type { BenchMessage } from '../api/types';
import { surroundingsOf, type Surroundings } from './craftSteps';

/** What is known of the live bench. */
export interface BenchState {
  /** "live" while pictures arrive; nothing that is moved in the other states reaches the bench, now or later. */
  connection: 'connecting' | 'live' | 'reconnecting';
  message: BenchMessage | null;
}

const RETRY_AFTER_MS = 700;

/** A movement that no picture has shown after so long was refused, or somebody else moved the control again. */
const ASKED_FOR_AT_MOST_MS = 3000;

/** The connection to the live bench of one setup. It lives as long as a page shows the setup. */
export class BenchLink {
  private readonly hub = new HubConnectionBuilder()
    .withUrl('/hub/bench')
    .withAutomaticReconnect({ nextRetryDelayInMilliseconds: () => RETRY_AFTER_MS })
    .configureLogging(LogLevel.None)
    .build();
  private readonly listeners = new Set<() => void>();
  private state: BenchState = { connection: 'connecting', message: null };
  private stream: ISubscription<BenchMessage> | null = null;
  /** Movements that were sent and that no picture has shown yet. */
  private readonly asked = new Map<string, { setting: number; at: number }>();
  private askedAround = { around: surroundingsOf({ message: null }), at: 0 };
  private followed = 'throttle';
  private closed = false;

  constructor(private readonly setup: string) {
    this.hub.onreconnecting(() => {
      this.asked.clear();
      this.become({ connection: 'reconnecting' });
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
        this.become({ connection: 'reconnecting' });
        await new Promise((done) => setTimeout(done, RETRY_AFTER_MS));
      }
    }
  }

  close(): void {
    this.closed = true;
    void this.hub.stop();
  }

  /** Follows another control along the path. */
  follow(control: string): void {
    if (control === this.followed) return;
    this.followed = control;
    if (this.isUp()) this.watch();
  }

  move(control: string, setting: number): void {
    if (!this.isUp()) return;
    this.asked.set(control, { setting, at: Date.now() });
    this.tell('Move', control, setting);
  }

  /** Where the controls stand, or are about to: a key pressed twice in a hurry must count twice. */
  settings(): Record<string, number> {
    const settings = { ...this.state.message?.snapshot.settings };
    for (const [control, { setting, at }] of this.asked)
      if (Date.now() - at < ASKED_FOR_AT_MOST_MS) settings[control] = setting;
    return settings;
  }

  report(sensor: string, reading: number): void {
    this.tell('Report', sensor, reading);
  }

  setLink(up: boolean): void {
    this.tell('SetLink', up);
  }

  setPower(on: boolean): void {
    this.tell('SetPower', on);
  }

  /** How the craft lies and what it is connected to, or is about to be. */
  surroundings(): Surroundings {
    const { around, at } = this.askedAround;
    return Date.now() - at < ASKED_FOR_AT_MOST_MS ? around : surroundingsOf(this.state);
  }

  /** Tilts the craft, connects it for configuration, unlocks arming while connected. */
  surround(change: Partial<Surroundings>): void {
    if (!this.isUp()) return;
    const around = { ...this.surroundings(), ...change };
    this.askedAround = { around, at: Date.now() };
    const { tilt, connected, unlocked } = around;
    this.tell('Surround', tilt, connected, unlocked);
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
  private tell(method: string, ...values: unknown[]): void {
    if (this.isUp()) void this.hub.send(method, this.setup, ...values);
  }

  private watch(): void {
    this.stream?.dispose();
    this.stream = this.hub.stream<BenchMessage>('Watch', this.setup, this.followed).subscribe({
      next: (message) => {
        for (const [control, { setting }] of this.asked)
          if (message.snapshot.settings[control] === setting) this.asked.delete(control);
        this.become({ connection: 'live', message });
      },
      error: () => this.become({ connection: 'reconnecting' }),
      complete: () => undefined,
    });
  }

  private become(change: Partial<BenchState>): void {
    this.state = { ...this.state, ...change };
    for (const listener of this.listeners) listener();
  }
}
