/** The channels before the first AUX channel: those of the sticks. */
const STICKS = 4;

/** The AUX number of a channel; null for the channel of a stick. */
export function auxOf(channel: number): number | null {
  return channel > STICKS ? channel - STICKS : null;
}

/** A channel by its AUX number, "AUX 3"; empty for the channel of a stick. */
export function auxName(channel: number): string {
  const aux = auxOf(channel);
  return aux === null ? '' : `AUX ${aux}`;
}
