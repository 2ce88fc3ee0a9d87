import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { answer, api } from '../api/client';
import { setupsQuery, transmittersQuery } from '../api/queries';
import { Button } from '../ui/Button';
import { Popup } from '../ui/Popup';
import { SelectField } from '../ui/SelectField';

/** Starts a craft with an empty memory on a blank transmitter or on one's own. */
export function NewCraft() {
  const client = useQueryClient();
  const navigate = useNavigate();
  const shapes = useQuery(transmittersQuery);
  const [name, setName] = useState('');
  const [shape, setShape] = useState('blank-8');
  const create = useMutation({
    mutationFn: () => answer(api.POST('/api/setups/new', { body: { name: name.trim(), shape } })),
    onSuccess: (stored) => {
      void client.invalidateQueries({ queryKey: setupsQuery.queryKey });
      void navigate(`/craft/${stored.id}/hands`);
    },
  });
  return (
    <Popup
      label="New craft"
      trigger={
        <Button look="solid">
          <Plus size={16} aria-hidden /> New craft
        </Button>
      }
    >
      <form
        className="flex flex-col gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          create.mutate();
        }}
      >
        <label className="flex flex-col gap-0.5 text-sm text-soft">
          Name
          <input
            className="h-8 rounded border border-line bg-sheet px-2 font-semibold text-ink"
            maxLength={40}
            required
            value={name}
            onChange={(event) => setName(event.target.value)}
          />
        </label>
        <SelectField
          label="Transmitter to start from"
          value={shape}
          options={(shapes.data ?? []).map((t) => ({ value: t.id, label: t.name }))}
          onChange={setShape}
        />
        <p className="max-w-xs text-sm text-soft">
          A proven craft is the better start: copy it from its row. This one has the four sticks, and nothing arms.
        </p>
        {create.error && (
          <p role="alert" className="text-sm font-semibold text-rust">
            {create.error.message}
          </p>
        )}
        <Button type="submit" look="solid" disabled={create.isPending || name.trim() === ''}>
          Start with an empty memory
        </Button>
      </form>
    </Popup>
  );
}
