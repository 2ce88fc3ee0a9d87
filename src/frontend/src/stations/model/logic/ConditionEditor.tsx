import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import { useParams } from 'react-router';
import { answer, api } from '../../../api/client';
import type { Condition, SetupView, Setup } from '../../../api/types';
import { Button } from '../../../ui/Button';
import { TextField } from '../../../ui/TextField';
import { TestFields } from './TestFields';

interface Props {
  /** The id of the condition; undefined for a new one. */
  id: string | undefined;
  setup: Setup;
  view: SetupView;
  /** The condition as it is put together. */
  draft: Condition;
  onDraft: (draft: Condition) => void;
  onSave: () => void;
  onClose: () => void;
}

/** Edits a condition as a whole, beside the bench, so that its lamps can be watched; nothing is saved before "Save". */
export function ConditionEditor({ id, setup, view, draft, onDraft: setDraft, onSave, onClose }: Props) {
  const editor = useRef<HTMLElement>(null);
  useEffect(() => editor.current?.querySelector('input')?.focus(), []);
  const limit = setup.transmitter.shortNames ?? 0;
  return (
    <section
      ref={editor}
      aria-label={`Condition “${draft.label}”`}
      className="col-span-full my-2 rounded border border-ink bg-sheet p-3"
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
        <TestFields setup={setup} view={view} test={draft.test} onChange={(test) => setDraft({ ...draft, test })} />
        <Preview id={id} condition={draft} />
        <div className="flex gap-2 border-t border-line pt-3">
          <Button look="solid" onClick={onSave}>
            Save
          </Button>
          <Button onClick={onClose}>Leave as it was</Button>
          <span className="self-center text-sm text-soft">
            Propellers off while you try it on the real transmitter.
          </span>
        </div>
      </div>
    </section>
  );
}

/** The condition as a sentence, and what is odd about it. */
function Preview({ id, condition }: { id: string | undefined; condition: Condition }) {
  const { id: craft = '' } = useParams();
  const preview = useQuery({
    queryKey: ['setup', craft, 'condition-preview', id, condition],
    queryFn: () =>
      answer(
        api.POST('/api/setups/{id}/conditions/preview', { params: { path: { id: craft } }, body: { condition, id } }),
      ),
    placeholderData: keepPreviousData,
    retry: false,
  });
  const problems = preview.error ? [preview.error.message] : (preview.data?.problems ?? []).map((p) => p.reason);
  return (
    <p role="status" className="min-h-12 rounded border border-line bg-sheet p-3">
      {problems.length > 0 ? (
        <span className="text-ochre">{problems.join(' ')}</span>
      ) : (
        <>
          <span className="text-soft">In words:</span> {preview.data?.sentence}.{' '}
          {preview.data?.caution && <b className="text-rust">{preview.data.caution}</b>}
        </>
      )}
    </p>
  );
}
