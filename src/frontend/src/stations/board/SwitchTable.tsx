import { RANGES } from '../../api/generated/ranges';
import { useQuery } from '@tanstack/react-query';
import { auxName } from '../../api/aux';
import { answer, api, reasonOf } from '../../api/client';
import type { ControlRow, MeasuredPosition, PositionAnswer, PositionSeen, Setup } from '../../api/types';
import { EditButton } from '../../edits/EditButton';
import type { Changes } from '../../edits/useChanges';
import { Notice } from '../../ui/Notice';
import { NumberField } from '../../ui/NumberField';
import { figure } from '../../ui/figures';

interface Props {
  id: string;
  setup: Setup;
  rows: readonly ControlRow[];
  seen: readonly PositionSeen[];
  changes: Changes;
  /** True when the way to the board was changed since; nothing can be corrected then. */
  stale: boolean;
  onSee: (seen: readonly PositionSeen[]) => void;
}

/** True when two are of the same position on the same channel. */
const same = (one: PositionSeen, other: PositionSeen) =>
  one.control === other.control && one.setting === other.setting && one.channel === other.channel;

/** What each position of a switch gives on its AUX channel, typed or measured, beside what is planned. */
export function SwitchTable({ id, setup, rows, seen, changes, stale, onSee }: Props) {
  const { data: view, error } = useQuery({
    queryKey: ['setup', id, 'positions', seen],
    queryFn: () =>
      answer(api.POST('/api/setups/{id}/positions', { params: { path: { id } }, body: { seen: [...seen] } })),
    placeholderData: (before: PositionAnswer | undefined) => before,
    retry: false,
    enabled: seen.length > 0,
  });
  const put = (one: PositionSeen) => onSee([...seen.filter((s) => !same(s, one)), one]);
  return (
    <section aria-labelledby="switches" className="mb-6">
      <h2 id="switches" className="text-lg font-bold">
        What each switch gives
      </h2>
      <ul>
        {rows.map((row) => {
          const own = seen.filter((s) => s.control === row.control && s.channel === row.channel);
          return (
            <li
              key={`${row.control} ${row.channel}`}
              aria-label={row.name}
              className="grid gap-x-4 gap-y-1 border-b border-hair py-2 sm:grid-cols-[10rem_1fr]"
            >
              <p>
                <b className="block">{row.name}</b>
                <span className="text-sm text-soft">
                  channel {row.channel} · {auxName(row.channel)}
                </span>
              </p>
              <div className="flex flex-wrap items-start gap-x-4">
                {row.cells.map((cell) => {
                  const now = own.find((s) => s.setting === cell.setting);
                  const found = now && view?.positions.find((p) => same(p.seen, now));
                  return (
                    <div key={cell.setting} className="w-34">
                      <NumberField
                        label={`${cell.name}, planned ${figure(cell.received, 0)}`}
                        unit="µs"
                        value={now?.value ?? NaN}
                        {...RANGES['TypedReading.values']}
                        onCommit={(value) =>
                          put({
                            control: row.control,
                            setting: cell.setting,
                            channel: row.channel,
                            jitter: own[0]?.jitter ?? 0,
                            value,
                          })
                        }
                      />
                      <p className="min-h-[1.4em] pb-1 text-[0.84rem] leading-tight">
                        {found && <Verdict found={found} setup={setup} />}
                      </p>
                    </div>
                  );
                })}
                <NumberField
                  label="Trembles by"
                  unit="µs"
                  value={Math.max(0, ...own.map((s) => s.jitter ?? 0))}
                  min={0}
                  max={200}
                  onCommit={(jitter) => onSee(seen.map((s) => (own.includes(s) ? { ...s, jitter } : s)))}
                />
              </div>
            </li>
          );
        })}
      </ul>
      {error && (
        <div className="mt-2">
          <Notice title="This cannot have been measured">
            <p>{reasonOf(error)}</p>
          </Notice>
        </div>
      )}
      {view && seen.length > 0 && !error && <Conclusion view={view} changes={changes} stale={stale} />}
    </section>
  );
}

function Verdict({ found, setup }: { found: MeasuredPosition; setup: Setup }) {
  const name = (id: string) => setup.board.functions[id]?.label ?? id;
  const off = Math.round(found.off);
  const wrong = [
    ...found.wants.filter((f) => !found.has.includes(f)).map((f) => `${name(f)} is off here`),
    ...found.has.filter((f) => !found.wants.includes(f)).map((f) => `${name(f)} is on here`),
  ];
  return (
    <>
      <span className="text-soft">
        {found.liesAsPlanned ? 'as planned' : `${off > 0 ? '+' : '−'}${Math.abs(off)} µs`}
      </span>
      {found.room && found.room.room < 100 && (
        <span className={found.room.tooNear ? 'font-semibold text-rust' : 'text-soft'}>
          {' '}
          · {figure(Math.max(0, found.room.room), 0)} µs to an edge
        </span>
      )}
      {wrong.map((words) => (
        <b key={words} className="block text-rust">
          {words}
        </b>
      ))}
    </>
  );
}

function Conclusion({ view, changes, stale }: { view: PositionAnswer; changes: Changes; stale: boolean }) {
  const wrong = view.positions.filter((p) => p.wants.join() !== p.has.join());
  return (
    <div className="mt-2 max-w-4xl" aria-live="polite">
      <p className="font-bold">
        {wrong.length === 0
          ? `${view.positions.length} positions measured; each switches what is planned.`
          : `${wrong.length} of ${view.positions.length} positions do not switch what is planned.`}
      </p>
      <ul className="mt-1">
        {view.fixes.map((fix) => (
          <li key={fix.edit.title} className="flex flex-wrap items-center gap-x-3 gap-y-1 py-1">
            <span>{fix.words}</span>
            <EditButton edit={fix.edit} disabled={stale} onTake={() => void changes.edit(fix.edit)} />
          </li>
        ))}
      </ul>
    </div>
  );
}
