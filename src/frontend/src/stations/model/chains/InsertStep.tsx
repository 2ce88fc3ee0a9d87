import { Plus } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import type { Setup } from '../../../api/types';
import type { Changes } from '../../../setup/useChanges';
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
    <DropdownMenu.Root>
      <DropdownMenu.Trigger
        aria-label={`Insert a step into channel ${channel.number} at place ${index + 1}`}
        className="mt-1 inline-flex size-6 shrink-0 items-center justify-center rounded-full border border-line bg-paper text-soft hover:border-ink hover:text-ink"
      >
        <Plus size={14} aria-hidden />
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          sideOffset={4}
          collisionPadding={12}
          className="z-30 max-h-[70vh] overflow-y-auto rounded border border-ink bg-paper p-1 shadow-xl"
        >
          {NEW_STEPS.map(({ kind, name, does, step }) => (
            <DropdownMenu.Item
              key={kind}
              className="flex gap-4 rounded-sm px-2 py-1.5 text-sm outline-none data-highlighted:bg-sea-wash"
              onSelect={() =>
                void changes.edit(
                  insertStep(setup, channelId, index, step, `${channel.label}: insert ${name.toLowerCase()}`),
                )
              }
            >
              <b className="w-44">{name}</b>
              <span className="text-soft">{does}</span>
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
