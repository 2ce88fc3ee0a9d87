import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Plus } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { answer, api } from '../api/client';
import { setupsQuery, transmittersQuery } from '../api/queries';
import { Button } from '../ui/Button';
import { Popup } from '../ui/Popup';
import { SelectField } from '../ui/SelectField';

const COPY = 'copy:';

interface Props {
  /** The craft that is copied unless another choice is made; none for an empty memory. */
  copyOf?: string;
  /** What is offered, as a button. */
  trigger?: ReactNode;
}

/** Starts a craft: its name, and whether it is a copy of a proven one or begins with an empty memory on a transmitter. It opens at what
 *  remains to be done. */
export function NewCraft({ copyOf, trigger }: Props) {
  const client = useQueryClient();
  const navigate = useNavigate();
  const shapes = useQuery(transmittersQuery);
  const { data: craft = [] } = useQuery(setupsQuery);
  const [name, setName] = useState('');
  const [start, setStart] = useState(copyOf ? `${COPY}${copyOf}` : 'blank-8');
  const create = useMutation({
    mutationFn: () =>
      start.startsWith(COPY)
        ? answer(
            api.POST('/api/setups/{id}/copies', {
              params: { path: { id: start.slice(COPY.length) } },
              body: { name: name.trim() },
            }),
          )
        : answer(api.POST('/api/setups/new', { body: { name: name.trim(), shape: start } })),
    onSuccess: (stored) => {
      void client.invalidateQueries({ queryKey: setupsQuery.queryKey });
      void navigate(`/craft/${stored.id}/work`);
    },
  });
  return (
    <Popup
      label="New craft"
      trigger={
        trigger ?? (
          <Button look="solid">
            <Plus size={16} aria-hidden /> New craft
          </Button>
        )
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
          Name of the craft
          <input
            className="h-8 rounded border border-soft bg-sheet px-2 font-semibold text-ink"
            maxLength={40}
            required
            value={name}
            onChange={(event) => setName(event.target.value)}
          />
        </label>
        <SelectField
          label="Starts as"
          value={start}
          options={[
            ...craft.map((c) => ({ value: `${COPY}${c.id}`, label: c.name, group: 'A copy of' })),
            ...(shapes.data ?? []).map((t) => ({ value: t.id, label: t.name, group: 'An empty memory on' })),
          ]}
          onChange={setStart}
        />
        <p className="max-w-xs text-sm text-soft">
          {start.startsWith(COPY)
            ? 'All settings are copied; binds, measurements and ticks are not: they are of the other craft.'
            : 'It has the four sticks, and nothing arms. A copy of a proven craft is the better start.'}
        </p>
        {create.error && (
          <p role="alert" className="text-sm font-semibold text-rust">
            {create.error.message}
          </p>
        )}
        <Button type="submit" look="solid" disabled={create.isPending || name.trim() === ''}>
          Start it
        </Button>
      </form>
    </Popup>
  );
}
