import type { ControlUse } from '../api/types';

/** What a control does. */
export const findUse = (uses: readonly ControlUse[], control: string): ControlUse | undefined =>
  uses.find((u) => u.control === control);

/** What the position at which a control stands does, in words, what matters most first; empty when nothing. */
export const doesAt = (use: ControlUse | undefined, setting: number): readonly string[] =>
  use?.positions.find((p) => p.setting === setting)?.does ?? [];
