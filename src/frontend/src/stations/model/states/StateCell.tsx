import clsx from 'clsx';
import { useState } from 'react';

interface Props {
  label: string;
  /** The value in percent; null for a forgotten cell. */
  value: number | null;
  onCommit: (value: number | null) => void;
}

/** A cell of the table: a value in percent that may be empty. It is saved when it is left. */
export function StateCell({ label, value, onCommit }: Props) {
  const [draft, setDraft] = useState<string | null>(null);
  const commit = () => {
    if (draft !== null) {
      const number = draft.trim() === '' ? null : Number(draft);
      if (number !== value && (number === null || Number.isFinite(number))) onCommit(number);
    }
    setDraft(null);
  };
  return (
    <span className="inline-flex items-center gap-1 text-sm text-soft">
      <input
        aria-label={label}
        className={clsx(
          'h-8 w-18 rounded border bg-sheet px-2 text-right font-mono text-base font-semibold text-ink',
          value === null ? 'border-2 border-dashed border-rust' : 'border-line',
        )}
        inputMode="decimal"
        placeholder="empty"
        value={draft ?? value ?? ''}
        onChange={(event) => setDraft(event.target.value)}
        onBlur={commit}
        onKeyDown={(event) => event.key === 'Enter' && commit()}
      />
      %
    </span>
  );
}
