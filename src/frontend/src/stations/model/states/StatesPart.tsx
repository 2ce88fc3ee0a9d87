import clsx from 'clsx';
import { ArrowDown, ArrowUp, Plus, Trash2 } from 'lucide-react';
import { freeId, makeEdit } from '../../../api/edits';
import { listed } from '../../../api/listed';
import type { Setup, SetupView } from '../../../api/types';
import { useBenchState } from '../../../bench/BenchProvider';
import { RemoveButton } from '../../../edits/RemoveButton';
import type { Changes } from '../../../edits/useChanges';
import { ActionMenu } from '../../../ui/ActionMenu';
import { Button } from '../../../ui/Button';
import { SelectField } from '../../../ui/SelectField';
import { TextField } from '../../../ui/TextField';
import { orderAt } from '../chains/chainEdits';
import { StateCell } from './StateCell';
import { Term } from '../../../ui/Term';

interface Props {
  setup: Setup;
  view: SetupView;
  changes: Changes;
}

type Table = Record<string, Record<string, number>>;

/** The flight states by priority, and what each sends on the channels of the table. */
export function StatesPart({ setup, view, changes }: Props) {
  const active = useBenchState((s) => s.message?.snapshot.state ?? null);
  const { states = {}, channels } = setup.model;
  const rows = view.states.filter((row) => states[row.state]);
  const columns = Object.keys(rows[0]?.cells ?? {});
  const table: Table = Object.fromEntries(
    columns.map((c) => [
      c,
      Object.fromEntries(rows.flatMap((r) => (typeof r.cells[c] === 'number' ? [[r.state, r.cells[c]]] : []))),
    ]),
  );
  const name = (state: string) => states[state]?.label ?? state;
  const put = (title: string, id: string, member: string, value: unknown) =>
    void changes.edit(makeEdit(title, setup, [{ path: ['model', 'states', id, member], value }]));
  const move = (id: string, to: number) => {
    const orders = rows.filter((r) => r.state !== id).map((r) => states[r.state]!.order);
    put(`${name(id)}: another priority`, id, 'order', orderAt(orders, to));
  };
  const add = () => {
    const orders = Object.values(states).map((s) => s.order);
    const value = { label: 'New state', order: 10 + Math.max(0, ...orders), when: null };
    void changes.edit(
      makeEdit('Add a flight state', setup, [{ path: ['model', 'states', freeId('state', states)], value }]),
    );
  };
  return (
    <>
      <p className="mb-2 max-w-[75ch] text-soft">
        The first <Term word="flight state" /> from above whose condition holds is the active one. A cell is what leaves
        the transmitter there; an empty cell was forgotten: the chain&apos;s own value passes.
      </p>
      <div className="-mx-1 overflow-x-auto px-1">
        <table className="w-full border-collapse">
          <thead>
            <tr className="border-b-2 border-ink text-left align-bottom text-[0.84rem] text-soft">
              <th className="py-1 font-semibold">Priority</th>
              <th className="font-semibold">State</th>
              <th className="font-semibold">Active while</th>
              {columns.map((c) => (
                <th key={c} className="px-2 text-right font-semibold">
                  {channels[c]?.number} {channels[c]?.label}
                  <Button
                    look="bare"
                    aria-label={`Take ${channels[c]?.label} out of the table`}
                    onClick={() => void changes.putStateTable({ [c]: {} })}
                  >
                    <Trash2 size={13} aria-hidden />
                  </Button>
                </th>
              ))}
              <th className="pl-3 font-semibold">Reached</th>
              <th />
            </tr>
          </thead>
          <tbody>
            {rows.map((row, i) => (
              <tr key={row.state} className={clsx('border-b border-hair', row.state === active && 'bg-sea-wash')}>
                <td className="py-1.5 whitespace-nowrap">
                  <b className="inline-block w-5">{i + 1}</b>
                  <Button
                    look="bare"
                    className="px-1"
                    aria-label={`${name(row.state)} before the one above`}
                    disabled={i === 0}
                    onClick={() => move(row.state, i - 1)}
                  >
                    <ArrowUp size={14} aria-hidden />
                  </Button>
                  <Button
                    look="bare"
                    className="px-1"
                    aria-label={`${name(row.state)} after the one below`}
                    disabled={i === rows.length - 1}
                    onClick={() => move(row.state, i + 1)}
                  >
                    <ArrowDown size={14} aria-hidden />
                  </Button>
                </td>
                <td className="pr-2">
                  <TextField
                    quiet
                    label={`Name of state ${i + 1}`}
                    value={name(row.state)}
                    maxLength={40}
                    width={12}
                    onCommit={(v) => put(`Flight state ${v}`, row.state, 'label', v)}
                  />
                  {row.state === active && <b className="text-sm text-sea">active now</b>}
                </td>
                <td className="pr-2">
                  <SelectField
                    quiet
                    label={`Condition of ${name(row.state)}`}
                    value={states[row.state]?.when ?? ''}
                    options={[
                      { value: '', label: 'nothing above it is' },
                      ...listed(setup.model.conditions).map(([id, c]) => ({
                        value: id,
                        label: `“${c.label}” holds`,
                      })),
                    ]}
                    onChange={(v) =>
                      put(`${name(row.state)} waits for another condition`, row.state, 'when', v || null)
                    }
                  />
                </td>
                {columns.map((c) => (
                  <td key={c} className="px-2 text-right">
                    <StateCell
                      label={`${channels[c]?.label} in ${name(row.state)}`}
                      value={row.cells[c] ?? null}
                      onCommit={(value) => {
                        const others = Object.fromEntries(
                          Object.entries(table[c] ?? {}).filter(([state]) => state !== row.state),
                        );
                        void changes.putStateTable({
                          [c]: value === null ? others : { ...others, [row.state]: value },
                        });
                      }}
                    />
                  </td>
                ))}
                <td className="max-w-56 pl-3 text-[0.87rem]">
                  {row.reached === null ? (
                    <b className="text-rust">
                      no way found
                      {row.shadowedBy.length > 0 && `: ${row.shadowedBy.map(name).join(', ')} stands above it`}
                    </b>
                  ) : (
                    <span className="text-soft">{row.reached || 'always'}</span>
                  )}
                  {row.sameAs.length > 0 && (
                    <b className="block text-ochre">sends the same as {row.sameAs.map(name).join(', ')}</b>
                  )}
                </td>
                <td>
                  <RemoveButton place={`/model/states/${row.state}`} name={name(row.state)} changes={changes} />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <div className="mt-3 flex flex-wrap items-end gap-3">
        <Button onClick={add}>
          <Plus size={15} aria-hidden /> Flight state
        </Button>
        {rows.length > 0 && (
          <ActionMenu
            trigger="Channel into the table"
            actions={Object.entries(channels)
              .filter(([id]) => !columns.includes(id))
              .sort(([, a], [, b]) => a.number - b.number)
              .map(([id, c]) => ({ id, name: `${c.number} ${c.label}` }))}
            onChoose={(id) => void changes.putStateTable({ [id]: Object.fromEntries(rows.map((r) => [r.state, 0])) })}
          />
        )}
      </div>
      {rows.length > 0 && <Combinations view={view} name={name} />}
    </>
  );
}

/** Which state each combination of what decides gives. */
function Combinations({ view, name }: { view: SetupView; name: (state: string) => string }) {
  const { stateCombinations: shown, stateCombinationCount: count } = view;
  return (
    <details className="mt-5">
      <summary className="cursor-pointer font-semibold">
        Which state each combination gives · {count} {count === 1 ? 'combination' : 'combinations'}
      </summary>
      <table className="mt-2 border-collapse text-[0.93rem]">
        <thead>
          <tr className="border-b border-ink text-left text-[0.84rem] text-soft">
            <th className="py-1 pr-6 font-semibold">Put from switch-on, in this order</th>
            <th className="font-semibold">the state is</th>
          </tr>
        </thead>
        <tbody>
          {shown.map(({ words, state }) => (
            <tr key={words} className="border-b border-hair">
              <td className="py-1 pr-6">{words || 'anything'}</td>
              <td className="font-semibold">{state ? name(state) : <b className="text-ochre">none</b>}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {count > shown.length && <p className="text-soft">These are the first {shown.length}.</p>}
    </details>
  );
}
