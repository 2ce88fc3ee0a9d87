/** What no picture has shown after so long was refused, or somebody else changed it again. */
const AT_MOST_MS = 3000;

type Value = number | boolean;

/**
 * What was asked of the bench and no picture has shown yet. A key pressed twice in a hurry must count twice: the second press
 * starts from what the first one asked for, not from the picture before it.
 */
export class Asked {
  private readonly values = new Map<string, { value: Value; at: number }>();

  constructor(private readonly now: () => number = Date.now) {}

  put(name: string, value: Value): void {
    this.values.set(name, { value, at: this.now() });
  }

  /** What a picture shows, with what is about to come in its place. */
  over<T extends object>(shown: T): T {
    const all = { ...shown };
    for (const [name, { value, at }] of this.values)
      if (name in shown && this.now() - at < AT_MOST_MS) Reflect.set(all, name, value);
    return all;
  }

  /** A picture came: what it shows need not be waited for any more. */
  see(shown: object): void {
    for (const [name, { value }] of this.values) if (Reflect.get(shown, name) === value) this.values.delete(name);
  }

  clear(): void {
    this.values.clear();
  }
}
