import { RANGES } from '../../../api/generated/ranges';
import { Plus, Trash2 } from 'lucide-react';
import { listed } from '../../../api/listed';
import type { Setup, SetupView, Test } from '../../../api/types';
import { Button } from '../../../ui/Button';
import { NumberField } from '../../../ui/NumberField';
import { SelectField } from '../../../ui/SelectField';
import { SourcePicker } from '../chains/SourcePicker';
import { newTest, TEST_KINDS } from './newTests';

interface Props {
  setup: Setup;
  view: SetupView;
  test: Test;
  onChange: (test: Test) => void;
  onRemove?: () => void;
}

/** A test as a sentence of fields; its parts stand below it, indented. */
export function TestFields({ setup, view, test, onChange, onRemove }: Props) {
  const groups = groupsOf(test);
  return (
    <div className="flex flex-col gap-2">
      <div className="flex flex-wrap items-end gap-2">
        <SelectField
          quiet
          label="What is asked"
          value={test.kind ?? ''}
          options={TEST_KINDS.filter((k) => k.kind === test.kind || newTest(k.kind, setup, view.starts)).map((k) => ({
            value: k.kind,
            label: k.name,
            group: k.group,
          }))}
          onChange={(kind) => {
            const made = newTest(kind as NonNullable<Test['kind']>, setup, view.starts);
            // What was asked so far is kept as a part.
            if (made) onChange('of' in made ? { ...made, of: partsOf(test) } : made);
          }}
        />
        <Figures setup={setup} view={view} test={test} onChange={onChange} />
        {onRemove && (
          <Button look="bare" aria-label="Remove this part" onClick={onRemove}>
            <Trash2 size={15} aria-hidden />
          </Button>
        )}
      </div>
      {groups.map(({ member, heading, parts }) => (
        <fieldset key={member} className="ml-2 flex flex-col gap-2 border-l-4 border-line pl-3">
          <legend className="sr-only">{heading}</legend>
          {heading && <p className="text-sm font-semibold text-soft">{heading}</p>}
          {parts.map((part, i) => (
            <TestFields
              key={i}
              setup={setup}
              view={view}
              test={part}
              onChange={(changed) => onChange({ ...test, [member]: parts.map((p, j) => (j === i ? changed : p)) })}
              onRemove={
                parts.length > 1 ? () => onChange({ ...test, [member]: parts.filter((_, j) => j !== i) }) : undefined
              }
            />
          ))}
          <Button
            look="bare"
            className="self-start"
            onClick={() =>
              onChange({
                ...test,
                [member]: [...parts, newTest('position', setup, view.starts) ?? { kind: 'telemetry-lost' }],
              })
            }
          >
            <Plus size={15} aria-hidden /> Part
          </Button>
        </fieldset>
      ))}
    </div>
  );
}

const partsOf = (test: Test): Test[] => ('of' in test ? test.of : [test]);

function groupsOf(test: Test): { member: string; heading: string; parts: Test[] }[] {
  switch (test.kind) {
    case 'latch':
      return [
        { member: 'set', heading: 'Set when all of these hold', parts: test.set },
        { member: 'clear', heading: 'Cleared when any of these holds; this wins', parts: test.clear },
      ];
    case 'all':
    case 'any':
    case 'not':
    case 'delay':
      return [{ member: 'of', heading: '', parts: test.of }];
    default:
      return [];
  }
}

type FieldProps = Omit<Props, 'onRemove'>;

function Figures({ setup, view, test, onChange }: FieldProps) {
  const { model } = setup;
  const side = (relation: string) => (
    <SelectField
      quiet
      label="Below or above"
      value={relation}
      options={[
        { value: 'below', label: 'is below' },
        { value: 'above', label: 'is above' },
      ]}
      onChange={(value) => onChange({ ...test, relation: value } as Test)}
    />
  );
  const seconds = (label: string, member: string, value: number | null | undefined, { max: most }: { max: number }) => (
    <NumberField
      label={label}
      unit="s"
      value={(value ?? 0) / 1000}
      min={0}
      max={most / 1000}
      step={0.1}
      onCommit={(v) => onChange({ ...test, [member]: v * 1000 })}
    />
  );
  switch (test.kind) {
    case 'position':
      return <PositionFields setup={setup} view={view} test={test} onChange={onChange} />;
    case 'compare':
      return (
        <>
          <SourcePicker
            quiet
            label="What is compared"
            setup={setup}
            value={test.value}
            onChange={(value) => onChange({ ...test, value })}
          />
          {side(test.relation)}
          <NumberField
            quiet
            label="Limit"
            unit="%"
            value={test.limit}
            {...RANGES['model.conditions.*.test.compare.limit']}
            step={0.1}
            onCommit={(limit) => onChange({ ...test, limit })}
          />
        </>
      );
    case 'sensor':
      return (
        <>
          <SelectField
            quiet
            label="Sensor"
            value={test.sensor}
            options={listed(model.sensors).map(([id, s]) => ({ value: id, label: s.label }))}
            onChange={(sensor) => onChange({ ...test, sensor })}
          />
          {side(test.relation)}
          <NumberField
            quiet
            label="Limit"
            unit={model.sensors?.[test.sensor]?.unit ?? ''}
            value={test.limit}
            {...RANGES['model.conditions.*.test.sensor.limit']}
            step={0.1}
            onCommit={(limit) => onChange({ ...test, limit })}
          />
        </>
      );
    case 'holds':
      return (
        <SelectField
          quiet
          label="Condition"
          value={test.condition}
          options={listed(model.conditions).map(([id, c]) => ({ value: id, label: c.label }))}
          onChange={(condition) => onChange({ ...test, condition })}
        />
      );
    case 'state':
      return (
        <SelectField
          quiet
          label="Flight state"
          value={test.state}
          options={listed(model.states).map(([id, s]) => ({ value: id, label: s.label }))}
          onChange={(state) => onChange({ ...test, state })}
        />
      );
    case 'delay':
      return (
        <>
          {seconds('holds after', 'onAfter', test.onAfter, RANGES['model.conditions.*.test.delay.onAfter'])}
          {seconds('ends after', 'offAfter', test.offAfter, RANGES['model.conditions.*.test.delay.offAfter'])}
        </>
      );
    case 'press':
      return (
        <>
          <SelectField
            quiet
            label="Button"
            value={test.control}
            options={view.controls.filter((c) => c.kind === 'button').map((c) => ({ value: c.id, label: c.name }))}
            onChange={(control) => onChange({ ...test, control })}
          />
          {seconds('at least', 'atLeast', test.atLeast, RANGES['model.conditions.*.test.press.atLeast'])}
          <label className="flex h-8 items-center gap-2 text-sm">
            <input
              type="checkbox"
              className="size-5 accent-sea"
              checked={test.before !== null && test.before !== undefined}
              onChange={(event) =>
                onChange({ ...test, before: event.target.checked ? (test.atLeast ?? 0) + 1000 : null })
              }
            />
            let go in time
          </label>
          {test.before !== null &&
            test.before !== undefined &&
            seconds('before', 'before', test.before, RANGES['model.conditions.*.test.press.before'])}
        </>
      );
    default:
      return null;
  }
}

function PositionFields({ view, test, onChange }: FieldProps & { test: Extract<Test, { positions: number[] }> }) {
  const control = view.controls.find((c) => c.id === test.control);
  return (
    <>
      <SelectField
        quiet
        label="Control"
        value={test.control}
        options={view.controls.filter((c) => c.positions.length > 0).map((c) => ({ value: c.id, label: c.name }))}
        onChange={(id) => {
          const far = view.controls.find((c) => c.id === id)?.positions.at(-1)?.setting ?? 1;
          onChange({ ...test, control: id, positions: [far] });
        }}
      />
      <span className="flex h-8 items-center gap-3 text-sm">
        {control?.positions.map((position) => (
          <label key={position.setting} className="flex items-center gap-1.5">
            <input
              type="checkbox"
              className="size-5 accent-sea"
              checked={test.positions.includes(position.setting)}
              onChange={(event) => {
                const positions = event.target.checked
                  ? [...test.positions, position.setting]
                  : test.positions.filter((p) => p !== position.setting);
                if (positions.length > 0) onChange({ ...test, positions: positions.sort((a, b) => a - b) });
              }}
            />
            {position.name}
          </label>
        ))}
      </span>
    </>
  );
}
