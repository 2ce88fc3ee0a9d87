import { ArrowLeft, ArrowRight, Trash2 } from 'lucide-react';
import { listed } from '../../../api/listed';
import type { ChainStep, Setup } from '../../../api/types';
import type { Changes } from '../../../edits/useChanges';
import { ActionMenu } from '../../../ui/ActionMenu';
import { Button } from '../../../ui/Button';
import { SelectField } from '../../../ui/SelectField';
import { changeStep, copyStep, moveStep, orderedSteps, removeStep } from './chainEdits';
import { NEW_STEPS } from './newSteps';
import { StepFields } from './StepFields';

interface Props {
  setup: Setup;
  channelId: string;
  stepId: string;
  step: ChainStep;
  samples: readonly number[];
  now: number | undefined;
  changes: Changes;
}

/** Everything that can be done with a step: its figures, its condition, its place, a copy elsewhere. */
export function StepEditor({ setup, channelId, stepId, step, samples, now, changes }: Props) {
  const channel = setup.model.channels[channelId]!;
  const steps = orderedSteps(channel);
  const index = steps.findIndex(([id]) => id === stepId);
  const name = NEW_STEPS.find((s) => s.kind === step.kind)?.name ?? 'Step';
  const change = (members: Record<string, unknown>) =>
    void changes.edit(changeStep(setup, channelId, stepId, members, `${channel.label}: ${name.toLowerCase()}`));
  const move = (to: number) => {
    const edit = moveStep(setup, channelId, stepId, to);
    if (edit) void changes.edit(edit);
  };
  return (
    <>
      <h3 className="basis-full font-bold">
        {name}{' '}
        <span className="font-normal text-soft">
          step {index + 1} of {steps.length} on {channel.label}
        </span>
      </h3>
      <StepFields setup={setup} channelId={channelId} step={step} samples={samples} now={now} onChange={change} />
      <div className="flex flex-wrap items-end gap-3">
        <SelectField
          label="Works"
          value={step.when ?? ''}
          options={[
            { value: '', label: 'always' },
            ...listed(setup.model.conditions).map(([id, c]) => ({
              value: id,
              label: `while “${c.label}” holds`,
            })),
          ]}
          onChange={(when) => change({ when: when === '' ? null : when })}
        />
        <label className="flex h-8 items-center gap-2 text-sm">
          <input
            type="checkbox"
            className="size-5 accent-sea"
            checked={!step.off}
            onChange={(event) => change({ off: !event.target.checked })}
          />
          Switched on
        </label>
      </div>
      <div className="flex flex-wrap items-end gap-2">
        {/* At the end of its way a button keeps the focus. */}
        <Button onClick={() => move(index - 1)} aria-disabled={index === 0}>
          <ArrowLeft size={15} aria-hidden /> Earlier
        </Button>
        <Button onClick={() => move(index + 1)} aria-disabled={index === steps.length - 1}>
          Later <ArrowRight size={15} aria-hidden />
        </Button>
        <ActionMenu
          trigger="Copy to"
          actions={Object.entries(setup.model.channels)
            .sort(([, a], [, b]) => a.number - b.number)
            .map(([id, c]) => ({ id, name: `${c.number} ${c.label}` }))}
          onChoose={(target) => void changes.edit(copyStep(setup, channelId, stepId, target))}
        />
        <Button onClick={() => void changes.edit(removeStep(setup, channelId, stepId))}>
          <Trash2 size={15} aria-hidden /> Remove
        </Button>
      </div>
    </>
  );
}
