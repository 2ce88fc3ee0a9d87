import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Plus, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { answer, api, reasonOf } from '../../api/client';
import { linkProfilesQuery } from '../../api/queries';
import type { BindStep, LinkProfile } from '../../api/types';
import { Button } from '../../ui/Button';
import { Notice } from '../../ui/Notice';

/** What is written of a step, in the order in which it is read; the longest texts that the server takes. */
const PARTS = [
  { part: 'do', label: 'What to do', max: 300 },
  { part: 'light', label: 'What is seen then', max: 120 },
  { part: 'otherwise', label: 'And if not', max: 300 },
] as const;

/** Writes down how receivers of one's own system are bound. */
export function BindWriter({ profile, onDone }: { profile: LinkProfile; onDone: () => void }) {
  const client = useQueryClient();
  const [steps, setSteps] = useState<readonly BindStep[]>(
    (profile.bind ?? []).length > 0 ? (profile.bind ?? []) : [{ do: '' }],
  );
  const put = (at: number, change: Partial<BindStep>) =>
    setSteps(steps.map((step, i) => (i === at ? { ...step, ...change } : step)));
  const keep = useMutation({
    mutationFn: () =>
      answer(
        api.POST('/api/link-profiles', {
          body: { ...profile, bind: steps.filter((s) => s.do.trim() !== '').map((s) => ({ ...s, do: s.do.trim() })) },
        }),
      ),
    onSuccess: async () => {
      await client.invalidateQueries({ queryKey: linkProfilesQuery.queryKey });
      onDone();
    },
  });
  return (
    <form
      className="mb-6"
      onSubmit={(event) => {
        event.preventDefault();
        keep.mutate();
      }}
    >
      <h2 className="text-lg font-bold">How a receiver of {profile.name} is bound</h2>
      <p className="text-soft">
        Propellers off comes first; the receiver&apos;s own manual counts more than any of this.
      </p>
      <ol>
        {steps.map((step, i) => (
          <li key={i} className="flex flex-wrap items-end gap-3 border-b border-hair py-2">
            <b className="w-6 pb-1 text-right font-mono text-lg">{i + 1}</b>
            {PARTS.map(({ part, label, max }) => (
              <label key={part} className="min-w-52 flex-1 text-sm text-soft">
                {label}
                <span className="sr-only">, step {i + 1}</span>
                <textarea
                  rows={2}
                  className="block w-full rounded border border-edge bg-sheet px-2 py-1 text-ink"
                  value={step[part] ?? ''}
                  maxLength={max}
                  onChange={(event) => put(i, { [part]: event.target.value })}
                />
              </label>
            ))}
            <Button
              look="bare"
              aria-label={`Remove step ${i + 1}`}
              onClick={() => setSteps(steps.filter((_, k) => k !== i))}
            >
              <Trash2 size={15} aria-hidden />
            </Button>
          </li>
        ))}
      </ol>
      <div className="mt-3 flex flex-wrap gap-2">
        <Button onClick={() => setSteps([...steps, { do: '' }])}>
          <Plus size={15} aria-hidden /> Step
        </Button>
        <Button look="solid" type="submit" disabled={keep.isPending}>
          Keep these steps
        </Button>
        <Button onClick={onDone}>Leave them as they were</Button>
      </div>
      {keep.error && (
        <Notice title="Not kept">
          <p>{reasonOf(keep.error)}</p>
        </Notice>
      )}
    </form>
  );
}
