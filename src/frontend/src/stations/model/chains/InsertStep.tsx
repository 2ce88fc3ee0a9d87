import { Plus } from 'lucide-react';
import type { Setup } from '../../../api/types';
import type { Changes } from '../../../edits/useChanges';
import { ActionMenu } from '../../../ui/ActionMenu';
import { insertStep } from './chainEdits';
import { NEW_STEPS } from './newSteps';

interface Props {
  setup: Setup;
  channelId: string;
  /** The place at which the step is put. */
  index: number;
  changes: Changes;
}

/** Puts a new step into a chain. */
export function InsertStep({ setup, channelId, index, changes }: Props) {
  const channel = setup.model.channels[channelId]!;
  return (
    <ActionMenu
      trigger={
        <button
          type="button"
          aria-label={`Insert a step into channel ${channel.number} at place ${index + 1}`}
          className="inline-flex size-[24px] shrink-0 items-center justify-center rounded-sm text-soft hover:bg-hair hover:text-ink"
        >
          <Plus size={14} aria-hidden />
        </button>
      }
      actions={NEW_STEPS.map(({ kind, name, does }) => ({ id: kind, name, hint: does }))}
      onChoose={(kind) => {
        const { name, step } = NEW_STEPS.find((s) => s.kind === kind)!;
        void changes.edit(insertStep(setup, channelId, index, step, `${channel.label}: insert ${name.toLowerCase()}`));
      }}
    />
  );
}
