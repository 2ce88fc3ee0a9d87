import clsx from 'clsx';

/** Says whether something holds now: by its fill, and in words for those who do not see it. */
export function Lamp({ on, words = ['holds', 'does not hold'] }: { on: boolean; words?: [string, string] }) {
  return (
    <span className="inline-flex items-center">
      <span
        aria-hidden
        className={clsx('inline-block size-3.5 rounded-full border-2', on ? 'border-sea bg-sea' : 'border-soft')}
      />
      <span className="sr-only">{on ? words[0] : words[1]}</span>
    </span>
  );
}
