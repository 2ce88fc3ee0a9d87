import clsx from 'clsx';
import { useId } from 'react';

interface Props<T extends string> {
  label: string;
  value: T;
  options: readonly { value: T; label: string }[];
  onChange: (value: T) => void;
}

/** A choice of one out of a few, all of them in sight. */
export function ChoiceField<T extends string>({ label, value, options, onChange }: Props<T>) {
  const name = useId();
  return (
    <div role="radiogroup" aria-label={label} className="flex flex-wrap items-center gap-x-1 gap-y-1">
      <span className="mr-2 text-sm text-soft">{label}</span>
      {options.map((option) => (
        <label
          key={option.value}
          className={clsx(
            'flex min-h-8 cursor-pointer items-center gap-2 rounded border px-2.5 text-sm font-semibold has-focus-visible:outline-2 has-focus-visible:outline-offset-2 has-focus-visible:outline-sea',
            option.value === value
              ? 'border-sea bg-sea-wash text-ink'
              : 'border-line bg-sheet text-soft hover:text-ink',
          )}
        >
          <input
            type="radio"
            className="accent-sea outline-none"
            name={name}
            checked={option.value === value}
            onChange={() => onChange(option.value)}
          />
          {option.label}
        </label>
      ))}
    </div>
  );
}
