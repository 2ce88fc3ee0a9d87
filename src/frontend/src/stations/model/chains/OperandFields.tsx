import { RANGES } from '../../../api/generated/ranges';
import type { Operand, Setup } from '../../../api/types';
import { NumberField } from '../../../ui/NumberField';
import { SourcePicker } from './SourcePicker';

interface Props {
  label: string;
  setup: Setup;
  value: Operand;
  except?: string;
  onChange: (operand: Operand) => void;
}

/** The second value of a step: where it comes from, its factor and its shift. */
export function OperandFields({ label, setup, value, except, onChange }: Props) {
  return (
    <div className="flex flex-wrap items-end gap-3">
      <SourcePicker
        label={label}
        setup={setup}
        value={value.take}
        except={except}
        onChange={(take) => onChange({ ...value, take })}
      />
      <NumberField
        label="times"
        unit="%"
        value={value.scale ?? 100}
        {...RANGES['model.channels.*.steps.*.add.with.scale']}
        step={0.1}
        onCommit={(scale) => onChange({ ...value, scale })}
      />
      <NumberField
        label="then add"
        unit="%"
        value={value.shift ?? 0}
        {...RANGES['model.channels.*.steps.*.add.with.shift']}
        step={0.1}
        onCommit={(shift) => onChange({ ...value, shift })}
      />
    </div>
  );
}
