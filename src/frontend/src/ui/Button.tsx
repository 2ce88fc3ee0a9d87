import clsx from 'clsx';
import type { ButtonHTMLAttributes } from 'react';

interface Props extends ButtonHTMLAttributes<HTMLButtonElement> {
  /** Solid for the one thing to do, outline for the others, bare inside other things. */
  look?: 'solid' | 'outline' | 'bare';
}

/** A button. */
export function Button({ look = 'outline', className, type = 'button', ...rest }: Props) {
  return (
    <button
      type={type}
      className={clsx(
        'inline-flex min-h-8 items-center gap-1.5 rounded px-2.5 text-sm font-semibold whitespace-nowrap disabled:opacity-45 aria-disabled:opacity-45',
        look === 'solid' && 'border border-ink bg-ink text-paper hover:opacity-90',
        look === 'outline' && 'border border-edge bg-sheet text-ink hover:border-ink',
        look === 'bare' && 'text-ink hover:bg-hair',
        className,
      )}
      {...rest}
    />
  );
}
