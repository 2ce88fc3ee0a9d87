import { useEffect, useRef } from 'react';
import type { SetupEdit } from '../api/types';
import { Button } from '../ui/Button';
import { useLook } from './look';

/** A finger that rests so long looks and does not press, in milliseconds. */
const HOLD_MS = 450;

interface Props {
  edit: SetupEdit;
  /** True for the one that is offered first. */
  first?: boolean;
  /** What it does, in a sentence, where it is not told beside it. */
  effect?: string;
  disabled?: boolean;
  /** What stands on it; the title of the edit without. */
  label?: string;
  onTake: () => void;
}

/** A button that makes an edit. Under a pointer, with the focus, or held by a finger it shows what the edit would change. */
export function EditButton({ edit, first = false, effect, disabled, label = edit.title, onTake }: Props) {
  const { at, away } = useLook();
  const hold = useRef<ReturnType<typeof setTimeout>>(undefined);
  const held = useRef(false);
  // One that goes away is left by nobody.
  useEffect(() => away, [away]);
  return (
    <Button
      look={first ? 'solid' : 'outline'}
      title={effect}
      disabled={disabled}
      className="touch-manipulation text-left whitespace-normal select-none"
      onPointerEnter={(event) => event.pointerType !== 'touch' && at(edit, event.currentTarget)}
      onPointerLeave={(event) => {
        clearTimeout(hold.current);
        if (event.pointerType !== 'touch') away();
      }}
      onPointerDown={(event) => {
        held.current = false;
        if (event.pointerType !== 'touch') return;
        const button = event.currentTarget;
        hold.current = setTimeout(() => {
          held.current = true;
          at(edit, button);
        }, HOLD_MS);
      }}
      onPointerUp={() => clearTimeout(hold.current)}
      onPointerCancel={() => clearTimeout(hold.current)}
      onContextMenu={(event) => held.current && event.preventDefault()}
      onFocus={(event) => event.currentTarget.matches(':focus-visible') && at(edit, event.currentTarget)}
      onBlur={away}
      onClick={(event) => {
        // What a finger held is shown until it touches something else.
        if (held.current) return event.currentTarget.focus();
        away();
        onTake();
      }}
    >
      {label}
    </Button>
  );
}
