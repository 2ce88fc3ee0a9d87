import { useQuery } from '@tanstack/react-query';
import clsx from 'clsx';
import { answer, api } from '../../api/client';
import type { StickAxis, WiggleSeen, WiggleView } from '../../api/types';
import { EditButton } from '../../edits/EditButton';
import type { Changes } from '../../edits/useChanges';
import { SelectField } from '../../ui/SelectField';

interface Props {
  id: string;
  axes: readonly StickAxis[];
  seen: Partial<Record<StickAxis, WiggleSeen>>;
  changes: Changes;
  /** True when the way to the board was changed since; nothing can be corrected then. */
  stale: boolean;
  onSee: (axis: StickAxis, seen: WiggleSeen | undefined) => void;
}

/** Which way each stick is moved. */
const WAYS: Record<StickAxis, string> = {
  throttle: 'up',
  pitch: 'forward',
  roll: 'to the right',
  yaw: 'to the right',
};

/** One stick at a time: which bar answered, and which way. What follows is worked out after each. */
export function WiggleTable({ id, axes, seen, changes, stale, onSee }: Props) {
  const all = axes.map((axis) => seen[axis]).filter((s) => s !== undefined);
  const { data: view } = useQuery({
    queryKey: ['setup', id, 'wiggles', all],
    queryFn: () => answer(api.POST('/api/setups/{id}/wiggles', { params: { path: { id } }, body: { seen: all } })),
    placeholderData: (before: WiggleView | undefined) => before,
  });
  const wrong = new Set(view?.contradictions.flat().map((place) => all[place]?.moved));
  return (
    <section aria-labelledby="wiggle" className="mb-6">
      <h2 id="wiggle" className="text-lg font-bold">
        Which bar answers which stick
      </h2>
      <ul>
        {axes.map((axis) => {
          const now = seen[axis];
          const next = view?.answer.next === axis && now === undefined;
          return (
            <li
              key={axis}
              aria-label={axis}
              className={clsx(
                'flex flex-wrap items-end gap-x-4 gap-y-1 border-b border-hair py-2 pl-2',
                next && 'border-l-4 border-l-sea bg-sea-wash/60',
                wrong.has(axis) && 'border-l-4 border-l-rust bg-rust-wash',
              )}
            >
              <p className="w-52 self-center">
                Move <b>{axis}</b> {WAYS[axis]}
                {next && <span className="block text-sm text-soft">decides most now</span>}
                {wrong.has(axis) && <span className="block text-sm font-semibold text-rust">contradicts another</span>}
              </p>
              <SelectField
                label="The bar that answers"
                value={now?.bar ?? ''}
                options={[{ value: '', label: 'not looked at' }, ...axes.map((bar) => ({ value: bar, label: bar }))]}
                onChange={(bar) => onSee(axis, bar === '' ? undefined : { ...now, moved: axis, bar: bar as StickAxis })}
              />
              {now && (
                <SelectField
                  label="It then"
                  value={now.reversed === undefined || now.reversed === null ? '' : now.reversed ? 'shrinks' : 'grows'}
                  options={[
                    { value: '', label: 'which way not looked at' },
                    { value: 'grows', label: 'grows' },
                    { value: 'shrinks', label: 'shrinks' },
                  ]}
                  onChange={(v) => onSee(axis, { ...now, reversed: v === '' ? undefined : v === 'shrinks' })}
                />
              )}
            </li>
          );
        })}
      </ul>
      {view && all.length > 0 && <Conclusion view={view} changes={changes} stale={stale} />}
    </section>
  );
}

function Conclusion({ view, changes, stale }: { view: WiggleView; changes: Changes; stale: boolean }) {
  const { answer: found, fixes } = view;
  const known = found.sticks.filter((s) => s.bar);
  return (
    <div className="mt-2 max-w-4xl" aria-live="polite">
      <p className="font-bold">
        {found.possible === 0
          ? 'This cannot all be so: look again at the marked sticks.'
          : found.possible === 1
            ? 'Everything is known.'
            : `${found.possible} ways are left of 384. Next, move ${found.next}.`}
      </p>
      {known.length > 0 && (
        <p>
          {known
            .map(
              (s) =>
                `${s.stick} ${s.bar === s.stick ? 'arrives right' : `arrives as ${s.bar}`}${s.reversed ? ', the wrong way' : ''}`,
            )
            .join('; ')}
          .
        </p>
      )}
      {found.possible === 1 && fixes.length === 0 && <p className="text-moss">Order and directions are right.</p>}
      <ul className="mt-1">
        {fixes.map((fix) => (
          <li key={fix.words} className="flex flex-wrap items-center gap-x-3 gap-y-1 py-1">
            <span>{fix.words}</span>
            {fix.edit && <EditButton edit={fix.edit} disabled={stale} onTake={() => void changes.edit(fix.edit!)} />}
          </li>
        ))}
      </ul>
    </div>
  );
}
