import { useState } from 'react';
import type { Condition, ControlView, Setup } from '../../../api/types';
import { Button } from '../../../ui/Button';
import { Sheet } from '../../../ui/Sheet';
import { TextField } from '../../../ui/TextField';
import { TestFields } from './TestFields';

interface Props {
  setup: Setup;
  controls: readonly ControlView[];
  condition: Condition;
  onSave: (condition: Condition) => void;
  onClose: () => void;
}

/** Edits a condition as a whole; nothing is saved before "Save". */
export function ConditionEditor({ setup, controls, condition, onSave, onClose }: Props) {
  const [draft, setDraft] = useState(condition);
  const limit = setup.transmitter.shortNames ?? 0;
  return (
    <Sheet
      open
      onOpenChange={(open) => !open && onClose()}
      title={`Condition “${draft.label}”`}
      description="What has to hold. Propellers off while you try it on the real transmitter."
    >
      <div className="flex flex-col gap-4">
        <div className="flex flex-wrap gap-3">
          <TextField
            label="Name"
            value={draft.label}
            maxLength={40}
            width={28}
            onCommit={(label) => setDraft({ ...draft, label })}
          />
          <TextField
            label={limit > 0 ? `Short form, ${limit} letters` : 'Short form'}
            value={draft.short ?? ''}
            maxLength={15}
            onCommit={(short) => setDraft({ ...draft, short })}
          />
        </div>
        <TestFields
          setup={setup}
          controls={controls}
          test={draft.test}
          onChange={(test) => setDraft({ ...draft, test })}
        />
        <div className="flex gap-2 border-t border-line pt-3">
          <Button look="solid" onClick={() => onSave(draft)}>
            Save
          </Button>
          <Button onClick={onClose}>Leave as it was</Button>
        </div>
      </div>
    </Sheet>
  );
}
