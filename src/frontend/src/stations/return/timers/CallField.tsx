import { Plus } from 'lucide-react';
import { useState } from 'react';
import { Button } from '../../../ui/Button';

/** Adds a call of a timer at so many seconds. */
export function CallField({ onAdd }: { onAdd: (ms: number) => void }) {
  const [typed, setTyped] = useState('');
  return (
    <form
      className="flex items-end gap-1"
      onSubmit={(event) => {
        event.preventDefault();
        const seconds = Number(typed);
        if (typed.trim() === '' || !Number.isFinite(seconds)) return;
        onAdd(Math.round(seconds * 1000));
        setTyped('');
      }}
    >
      <label className="flex flex-col gap-0.5 text-sm text-soft">
        Call at
        <span className="flex items-center gap-1">
          <input
            type="number"
            inputMode="decimal"
            min={0}
            step="any"
            required
            value={typed}
            onChange={(event) => setTyped(event.target.value)}
            className="h-8 w-20 rounded border border-edge bg-sheet px-2 text-right font-mono text-base font-semibold text-ink"
          />
          s
        </span>
      </label>
      <Button type="submit" aria-label="Add the call">
        <Plus size={15} aria-hidden />
      </Button>
    </form>
  );
}
