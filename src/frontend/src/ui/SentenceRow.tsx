import { useEffect, useId, useRef, type ReactNode } from 'react';
import { Button } from './Button';

interface Props {
  name: string;
  /** What it says, in sentences. */
  says: ReactNode;
  open: boolean;
  onOpen: (open: boolean) => void;
  /** True when it was opened by making it: then its first field has the focus. */
  made?: boolean;
  /** What else stands at its end. */
  end?: ReactNode;
  /** The fields that change what the sentences say. */
  children: ReactNode;
}

/** Settings that belong together, as sentences; opened, their fields stand below. */
export function SentenceRow({ name, says, open, onOpen, made = false, end, children }: Props) {
  const [title, fields] = [useId(), useId()];
  const row = useRef<HTMLElement>(null);
  useEffect(() => {
    if (made) row.current?.querySelector<HTMLElement>('input, select')?.focus();
  }, [made]);
  return (
    <section
      ref={row}
      aria-labelledby={title}
      className="grid grid-cols-[6.5rem_minmax(0,1fr)_auto] items-start gap-x-4 border-b border-line py-2 max-sm:grid-cols-[1fr_auto]"
    >
      <h3 id={title} className="pt-1 font-bold wrap-anywhere">
        {name}
      </h3>
      <p className="max-w-[75ch] pt-1 max-sm:order-last max-sm:col-span-2">{says}</p>
      <div className="flex items-center gap-1 print:hidden">
        <Button
          aria-expanded={open}
          aria-controls={open ? fields : undefined}
          aria-label={`${open ? 'Close' : 'Change'}: ${name}`}
          onClick={() => onOpen(!open)}
        >
          {open ? 'Close' : 'Change'}
        </Button>
        {end}
      </div>
      {open && (
        <div id={fields} className="order-last col-span-full flex flex-wrap items-end gap-x-5 gap-y-3 pt-3 pb-2">
          {children}
        </div>
      )}
    </section>
  );
}
