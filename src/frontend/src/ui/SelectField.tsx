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
}

/** A choice of one out of a list. What the server refuses stays chosen, with the reason, until something else is or Escape is pressed. */
export function SelectField({ label, value, options, onChange, quiet = false }: Props) {
  const { refused, marks, reason, ask, dismiss } = useRefusal();
  const groups = [...new Set(options.map((o) => o.group))];
  const choose = (chosen: string) => {
    dismiss();
    ask(chosen, () => onChange(chosen));
  };
  return (
    <div className="flex flex-col gap-0.5 text-sm text-soft">
      <label className="flex flex-col gap-0.5">
        <span className={quiet ? 'sr-only' : ''}>{label}</span>
        <select
          className="h-8 max-w-full min-w-0 [field-sizing:content] rounded border border-line bg-sheet px-2 text-sm font-semibold text-ink hover:border-ink aria-invalid:border-rust aria-invalid:bg-rust-wash"
          value={refused?.typed ?? value}
          {...marks}
          onChange={(event) => choose(event.target.value)}
          onKeyDown={(event) => {
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
