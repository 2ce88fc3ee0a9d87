import { RANGES } from '../../../api/generated/ranges';
import type { ChainStep, Setup } from '../../../api/types';
import { NumberField } from '../../../ui/NumberField';
import { CurveEditor } from './CurveEditor';
import { OperandFields } from './OperandFields';

interface Props {
  setup: Setup;
  channelId: string;
  step: ChainStep;
  samples: readonly number[];
  /** The value that comes in now, in percent. */
  now: number | undefined;
  onChange: (members: Record<string, unknown>) => void;
}

/** The fields of one step, by its kind. */
export function StepFields({ setup, channelId, step, samples, now, onChange }: Props) {
  const number = (label: string, member: string, value: number, unit = '%') => (
    <NumberField
      label={label}
      unit={unit}
      value={value}
      {...RANGES[`model.channels.*.steps.*.${step.kind}.${member}` as keyof typeof RANGES]}
      step={0.1}
      onCommit={(v) => onChange({ [member]: v })}
    />
  );
  switch (step.kind) {
    case 'scale':
      return (
        <Row>
          {number('times', 'scale', step.scale ?? 100)}
          {number('then add', 'shift', step.shift ?? 0)}
        </Row>
      );
    case 'limit':
      return (
        <Row>
          {number('not below', 'low', step.low ?? -100)}
          {number('not above', 'high', step.high ?? 100)}
        </Row>
      );
    case 'slow':
      return (
        <>
          <Row>
            {number('up at most', 'up', step.up ?? 0, '%/s')}
            {number('down at most', 'down', step.down ?? 0, '%/s')}
          </Row>
          <p className="text-sm text-soft">0 is no limit. Full travel is 200 %.</p>
        </>
      );
    case 'curve':
      return (
        <CurveEditor
          points={step.points}
          smooth={step.smooth ?? false}
          samples={samples}
          now={now}
          most={setup.transmitter.curvePoints ?? 17}
          onPoints={(points) => onChange({ points })}
          onSmooth={(smooth) => onChange({ smooth })}
        />
      );
    case 'state':
      return <p className="max-w-sm text-sm">The values stand in the table on the page Flight states.</p>;
    case 'add':
    case 'multiply':
    case 'switch-over':
      return (
        <OperandFields
          label={{ add: 'Adds', multiply: 'Multiplies by', 'switch-over': 'Switches over to' }[step.kind]}
          setup={setup}
          value={step.with}
          except={channelId}
          onChange={(operand) => onChange({ with: operand })}
        />
      );
    default:
      return null;
  }
}

function Row({ children }: { children: React.ReactNode }) {
  return <div className="flex flex-wrap items-end gap-3">{children}</div>;
}
