const AXES: Record<string, string> = { A: 'roll', E: 'pitch', T: 'throttle', R: 'yaw' };

/** The axis that a letter of a channel order stands for. */
export function axisOf(letter: string): string {
  return AXES[letter] ?? letter;
}

/** The letters of an order, as they are read out: "T A E R". */
export function spell(order: string): string {
  return order.split('').join(' ');
}

/** An order with the axis beside each letter, because R is not roll: "T throttle · A roll · E pitch · R yaw". */
export function spellOut(order: string): string {
  return order
    .split('')
    .map((letter) => `${letter} ${axisOf(letter)}`)
    .join(' · ');
}
