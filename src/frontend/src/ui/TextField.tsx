import { Refused } from './Refused';
import { useDraft } from './useDraft';

interface Props {
  label: string;
  value: string;
  maxLength: number;
  /** How wide the field is, in characters. */
  width?: number;
  quiet?: boolean;
  placeholder?: string;
  onCommit: (value: string) => void;
}

/** A line of text. It is saved when the field is left or Enter is pressed; Escape takes the typing back. */
export function TextField({ label, value, maxLength, width = 16, quiet = false, placeholder, onCommit }: Props) {
  const { input, refused } = useDraft(value, onCommit);
  return (
    <div className="flex flex-col gap-0.5 text-sm text-soft">
      <label className="flex flex-col gap-0.5">
        <span className={quiet ? 'sr-only' : ''}>{label}</span>
        <input
          className="h-8 max-w-full rounded border border-edge bg-sheet px-2 text-sm font-semibold text-ink hover:border-ink aria-invalid:border-rust aria-invalid:bg-rust-wash"
          style={{ width: `${width + 2}ch` }}
          maxLength={maxLength}
          placeholder={placeholder}
          {...input}
        />
      </label>
      <Refused refused={refused} />
    </div>
  );
}
