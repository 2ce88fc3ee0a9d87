import { NumberField } from './NumberField';

interface Props {
  label: string;
  /** In milliseconds, like the limits. */
  value: number;
  min: number;
  max: number;
  /** Called with milliseconds. */
  onCommit: (milliseconds: number) => void;
}

/** A time that is stored in milliseconds and typed in seconds. */
export function SecondsField({ label, value, min, max, onCommit }: Props) {
  return (
    <NumberField
      label={label}
      unit="s"
      value={value / 1000}
      min={min / 1000}
      max={max / 1000}
      step={0.1}
      onCommit={(seconds) => onCommit(Math.round(seconds * 1000))}
    />
  );
}
