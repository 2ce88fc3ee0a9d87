import { EnabledBox } from '../../../ui/EnabledBox';
import { NumberField } from '../../../ui/NumberField';

interface Props {
  name: string;
  label: string;
  unit: string;
  step: number;
  value: number | null;
  /** What it begins with. */
  first: number;
  range: { min: number; max: number };
  onPut: (value: number | null) => void;
}

/** A level at which the goggles warn, or none. */
export function WarningField({ name, label, unit, step, value, first, range, onPut }: Props) {
  return (
    <div role="group" aria-label={`Warning ${name}`} className="flex items-end gap-3">
      <EnabledBox
        enabled={value !== null}
        neutral
        words={[name, `not ${name}`]}
        onChange={(on) => onPut(on ? first : null)}
      />
      {value !== null && (
        <NumberField label={label} unit={unit} value={value} {...range} step={step} onCommit={onPut} />
      )}
    </div>
  );
}
