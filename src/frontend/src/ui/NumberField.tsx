import clsx from 'clsx';
import { Refused } from './Refused';
import { useDraft } from './useDraft';

interface Props {
  label: string;
  unit: string;
  value: number;
  min: number;
  max: number;
  step?: number;
  /** True when the label is for screen readers only. */
  quiet?: boolean;
  /** True where many stand below each other. */
  dense?: boolean;
  onCommit: (value: number) => void;
}

/** A number with its unit. It is saved when the field is left or Enter is pressed; Escape takes the typing back. */
export function NumberField({ label, unit, value, min, max, step = 1, quiet = false, dense = false, onCommit }: Props) {
  const { input, refused } = useDraft(value, (text) => {
    const number = Number(text);
    if (text.trim() !== '' && Number.isFinite(number) && number !== value) onCommit(number);
  });
  return (
    <div className="flex flex-col gap-0.5 text-sm text-soft">
      <label className="flex flex-col gap-0.5">
        <span className={quiet ? 'sr-only' : ''}>{label}</span>
        <span className="flex items-center gap-1">
          <input
            className={clsx(
              dense ? 'h-[24px] w-18' : 'h-8 w-22',
              'rounded border border-edge bg-sheet px-2 text-right aria-invalid:border-rust aria-invalid:bg-rust-wash font-mono text-base font-semibold text-ink',
            )}
            type="number"
            inputMode="decimal"
            min={min}
            max={max}
            step={step}
            {...input}
          />
          <span aria-hidden>{unit}</span>
        </span>
      </label>
      <Refused refused={refused} />
    </div>
  );
}
