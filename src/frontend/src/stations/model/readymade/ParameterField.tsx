import { useParams } from 'react-router';
import { useQuery } from '@tanstack/react-query';
import { viewQuery } from '../../../api/queries';
import type { Parameter } from '../../../api/types';
import { SelectField } from '../../../ui/SelectField';

interface Props {
  parameter: Parameter;
  value: string;
  onChange: (value: string) => void;
}

/** One thing that a ready-made chain needs to know. */
export function ParameterField({ parameter, value, onChange }: Props) {
  const { label, kind, options = [], optional, unit } = parameter;
  if (kind === 'positions') return <PositionsField parameter={parameter} value={value} onChange={onChange} />;
  if (kind === 'number' || kind === 'numbers')
    return (
      <label className="flex flex-col gap-0.5 text-sm text-soft">
        {label}
        <span className="flex items-center gap-1">
          <input
            className="h-8 rounded border border-edge bg-sheet px-2 font-mono text-base font-semibold text-ink"
            style={{ width: kind === 'number' ? '6rem' : `${Math.max(16, value.length + 4)}ch` }}
            inputMode="decimal"
            value={value}
            onChange={(event) => onChange(event.target.value)}
          />
          {unit}
        </span>
      </label>
    );
  return (
    <SelectField
      label={label}
      value={value}
      options={[...(optional || value === '' ? [{ value: '', label: '–' }] : []), ...options]}
      onChange={onChange}
    />
  );
}

/** A control and some of its positions, written as "control:1,2". */
function PositionsField({ parameter, value, onChange }: Props) {
  const { id = '' } = useParams();
  const view = useQuery(viewQuery(id));
  const [control = '', list = ''] = value.split(':');
  const chosen = list.split(',').filter((p) => p !== '');
  const positions = view.data?.controls.find((c) => c.id === control)?.positions ?? [];
  const write = (next: string, settings: string[]) => onChange(next === '' ? '' : `${next}:${settings.join(',')}`);
  return (
    <span className="flex flex-wrap items-end gap-3">
      <SelectField
        label={parameter.label}
        value={control}
        options={[{ value: '', label: parameter.optional ? 'nothing' : 'choose…' }, ...(parameter.options ?? [])]}
        onChange={(next) => {
          const far = view.data?.controls.find((c) => c.id === next)?.positions.at(-1)?.setting;
          write(next, far === undefined ? [] : [String(far)]);
        }}
      />
      {positions.map((position) => {
        const setting = String(position.setting);
        return (
          <label key={setting} className="flex h-8 items-center gap-1.5 text-sm">
            <input
              type="checkbox"
              className="size-5 accent-sea"
              aria-label={`${parameter.label}: ${position.name}`}
              checked={chosen.includes(setting)}
              onChange={(event) =>
                write(control, event.target.checked ? [...chosen, setting] : chosen.filter((p) => p !== setting))
              }
            />
            {position.name}
          </label>
        );
      })}
    </span>
  );
}
