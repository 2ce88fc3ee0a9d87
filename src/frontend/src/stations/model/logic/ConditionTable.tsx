import { Pencil, Plus } from 'lucide-react';
import { useParams } from 'react-router';
import { looseObject, nullable, string, type GenericSchema } from 'valibot';
import { freeId, makeEdit } from '../../../api/edits';
import { listed } from '../../../api/listed';
import type { Condition, Setup, SetupView } from '../../../api/types';
import { useBenchState } from '../../../bench/BenchProvider';
import { RemoveButton } from '../../../edits/RemoveButton';
import type { Changes } from '../../../edits/useChanges';
import { Button } from '../../../ui/Button';
import { Lamp } from '../../../ui/Lamp';
import { useKept } from '../../../ui/useKept';
import { ConditionEditor } from './ConditionEditor';
import { newTest } from './newTests';
import { Term } from '../../../ui/Term';

interface Props {
  setup: Setup;
  view: SetupView;
  changes: Changes;
}

/** A condition that is being put together; the id is empty for a new one. It outlives its page, so that nothing typed is lost. */
interface Draft {
  id: string;
  condition: Condition;
}

const draftShape = nullable(
  looseObject({ id: string(), condition: looseObject({ label: string(), test: looseObject({ kind: string() }) }) }),
) as unknown as GenericSchema<Draft | null>;

/** The named conditions as sentences, each with a lamp that shows whether it holds now. */
export function ConditionTable({ setup, view, changes }: Props) {
  const { id: craft = '' } = useParams();
  const [draft, setDraft] = useKept(`zephyros.condition.${craft}`, draftShape, null);
  const lamps = useBenchState((s) => s.message?.snapshot.conditions ?? {});
  const conditions = listed(setup.model.conditions);
  const path = (id: string) => ['model', 'conditions', id];
  const fresh: Condition = {
    label: 'New condition',
    test: newTest('position', setup, view.starts) ?? { kind: 'telemetry-lost' },
  };
  const close = () => {
    const opener = draft?.id ? `edit-${draft.id}` : 'new-condition';
    setDraft(null);
    // It may stand where the editor stands now.
    setTimeout(() => window.document.getElementById(opener)?.focus());
  };
  const save = ({ id, condition }: Draft) => {
    close();
    void changes.edit(
      makeEdit(`Condition “${condition.label}”`, setup, [
        { path: path(id || freeId(condition.label, setup.model.conditions ?? {})), value: condition },
      ]),
    );
  };
  const editor = (made: Draft) => (
    <ConditionEditor
      key={made.id}
      id={made.id || undefined}
      setup={setup}
      view={view}
      draft={made.condition}
      onDraft={(condition) => setDraft({ ...made, condition })}
      onClose={close}
      onSave={() => save(made)}
    />
  );
  return (
    <section aria-labelledby="conditions">
      <h2 id="conditions" className="text-lg font-bold">
        <Term word="condition">Conditions</Term>
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
              <Button
                look="bare"
                id={`edit-${id}`}
                aria-label={`Edit ${condition.label}`}
                onClick={() => setDraft({ id, condition })}
              >
                <Pencil size={15} aria-hidden />
              </Button>
              <RemoveButton place={`/model/conditions/${id}`} name={condition.label} changes={changes} />
            </span>
            {draft?.id === id && editor(draft)}
          </li>
        ))}
      </ul>
      {draft?.id === '' ? (
        editor(draft)
      ) : (
        <Button id="new-condition" className="mt-2" onClick={() => setDraft({ id: '', condition: fresh })}>
          <Plus size={15} aria-hidden /> Condition
        </Button>
      )}
    </section>
  );
}
