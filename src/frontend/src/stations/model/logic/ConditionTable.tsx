import { Pencil, Plus } from 'lucide-react';
import { useState } from 'react';
import { freeId, makeEdit } from '../../../api/edits';
import { listed } from '../../../api/listed';
import type { Condition, Setup, SetupView } from '../../../api/types';
import { useBenchState } from '../../../bench/BenchProvider';
import { RemoveButton } from '../../../edits/RemoveButton';
import type { Changes } from '../../../edits/useChanges';
import { Button } from '../../../ui/Button';
import { Lamp } from '../../../ui/Lamp';
import { ConditionEditor } from './ConditionEditor';
import { newTest } from './newTests';

interface Props {
  setup: Setup;
  view: SetupView;
  changes: Changes;
}

/** The named conditions as sentences, each with a lamp that shows whether it holds now. */
export function ConditionTable({ setup, view, changes }: Props) {
  const [open, setOpen] = useState<string | null>(null);
  const lamps = useBenchState((s) => s.message?.snapshot.conditions ?? {});
  const conditions = listed(setup.model.conditions);
  const path = (id: string) => ['model', 'conditions', id];
  const fresh: Condition = {
    label: 'New condition',
    test: newTest('position', setup, view.starts) ?? { kind: 'telemetry-lost' },
  };
  const editing = open === '' ? fresh : open === null ? null : setup.model.conditions?.[open];
  return (
    <section aria-labelledby="conditions">
      <h2 id="conditions" className="text-lg font-bold">
        Conditions
      </h2>
      {conditions.length === 0 && (
        <p className="max-w-[60ch] py-2 text-soft">
          A condition gives a name to something that holds or does not: a switch in a position, a value below a limit.
          Steps, overrides and flight states ask for it by that name.
        </p>
      )}
      <ul>
        {conditions.map(([id, condition]) => (
          <li
            key={id}
            className="grid grid-cols-[1.5rem_11rem_1fr_auto] items-center gap-x-3 border-b border-hair py-1.5 max-sm:grid-cols-[1.5rem_1fr_auto]"
          >
            <Lamp on={lamps[id] ?? false} />
            <b>
              {condition.label}
              {condition.short && <span className="block text-[0.8rem] font-normal text-soft">{condition.short}</span>}
            </b>
            <span className="max-sm:col-span-3 max-sm:row-start-2">
              {view.conditions[id]?.sentence}
              <span className="block text-[0.84rem] text-soft">
                {(view.conditions[id]?.usedBy.length ?? 0) > 0
                  ? `used by ${view.conditions[id]?.usedBy.join(', ')}`
                  : 'nothing uses it'}
              </span>
            </span>
            <span className="flex gap-1">
              <Button look="bare" aria-label={`Edit ${condition.label}`} onClick={() => setOpen(id)}>
                <Pencil size={15} aria-hidden />
              </Button>
              <RemoveButton place={`/model/conditions/${id}`} name={condition.label} changes={changes} />
            </span>
          </li>
        ))}
      </ul>
      <Button className="mt-2" onClick={() => setOpen('')}>
        <Plus size={15} aria-hidden /> Condition
      </Button>
      {editing && (
        <ConditionEditor
          id={open || undefined}
          setup={setup}
          view={view}
          condition={editing}
          onClose={() => setOpen(null)}
          onSave={(condition) => {
            const id = open || freeId(condition.label, setup.model.conditions ?? {});
            setOpen(null);
            void changes.edit(
              makeEdit(`Condition “${condition.label}”`, setup, [{ path: path(id), value: condition }]),
            );
          }}
        />
      )}
    </section>
  );
}
