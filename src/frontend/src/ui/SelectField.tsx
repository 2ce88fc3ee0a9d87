import clsx from 'clsx';
import { useEffect, useEffectEvent, useRef, useState } from 'react';
import { useRefusal } from './refusal';
import { Refused } from './Refused';

export interface Option {
  value: string;
  label: string;
  disabled?: boolean;
  /** The heading under which it is listed. */
  group?: string;
}

interface Props {
  label: string;
  value: string;
  options: readonly Option[];
  onChange: (value: string) => void;
  /** True when the label is for screen readers only. */
  quiet?: boolean;
  /** True where many stand below each other. */
  dense?: boolean;
}

/** So long after the last arrow key a choice is made, in milliseconds. */
const PAUSE = 900;

/** A choice of one out of a list. What the server refuses stays chosen, with the reason, until something else is or Escape is pressed. */
export function SelectField({ label, value, options, onChange, quiet = false, dense = false }: Props) {
  const { refused, marks, reason, ask, dismiss } = useRefusal();
  const groups = [...new Set(options.map((o) => o.group))];
  // Whoever goes through the choices with the arrow keys has not chosen yet.
  const [passing, setPassing] = useState<string | null>(null);
  const byKey = useRef(false);
  const choose = (chosen: string) => {
    setPassing(null);
    dismiss();
    if (chosen !== value || refused) ask(chosen, () => onChange(chosen));
  };
  const settle = () => passing !== null && choose(passing);
  const afterPause = useEffectEvent(settle);
  useEffect(() => {
    if (passing === null) return;
    const timer = setTimeout(afterPause, PAUSE);
    return () => clearTimeout(timer);
  }, [passing]);
  return (
    <div className="flex flex-col gap-0.5 text-sm text-soft">
      <label className="flex flex-col gap-0.5">
        <span className={quiet ? 'sr-only' : ''}>{label}</span>
        <select
          className={clsx(
            dense ? 'h-[24px]' : quiet ? 'h-7' : 'h-8',
            'max-w-full min-w-0 [field-sizing:content] rounded border border-edge bg-sheet px-2 text-sm font-semibold text-ink hover:border-ink aria-invalid:border-rust aria-invalid:bg-rust-wash',
          )}
          value={passing ?? refused?.typed ?? value}
          {...marks}
          onChange={(event) => (byKey.current ? setPassing : choose)(event.target.value)}
          onPointerDown={() => (byKey.current = false)}
          onBlur={settle}
          onKeyUp={() => (byKey.current = false)}
          onKeyDown={(event) => {
            byKey.current = event.key !== 'Enter';
            if (event.key === 'Enter') settle();
            if (event.key === 'Escape') setPassing(null);
            if (event.key !== 'Escape' || !refused) return;
            event.stopPropagation();
            dismiss();
          }}
        >
          {groups.map((group) =>
            group === undefined ? (
              <Choices key="" options={options.filter((o) => o.group === undefined)} />
            ) : (
              <optgroup key={group} label={group}>
                <Choices options={options.filter((o) => o.group === group)} />
              </optgroup>
            ),
          )}
        </select>
      </label>
      <Refused refused={reason} />
    </div>
  );
}

function Choices({ options }: { options: readonly Option[] }) {
  return options.map((option) => (
    <option key={option.value} value={option.value} disabled={option.disabled}>
      {option.label}
    </option>
  ));
}
