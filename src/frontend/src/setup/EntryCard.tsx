import clsx from 'clsx';
import { CircleDashed, CircleHelp, OctagonAlert, TriangleAlert, type LucideIcon } from 'lucide-react';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import type { VerdictEntry, VerdictLevel } from '../api/types';
import { EditButton } from '../edits/EditButton';
import type { Changes } from '../edits/useChanges';
import { FindingCard } from '../findings/FindingCard';

const LEVELS: Record<VerdictLevel, { icon: LucideIcon; edge: string; tone: string; name: string }> = {
  danger: { icon: OctagonAlert, edge: 'border-l-rust', tone: 'text-rust', name: 'Wrong' },
  check: { icon: TriangleAlert, edge: 'border-l-ochre', tone: 'text-ochre', name: 'To check' },
  'not-yet': { icon: CircleDashed, edge: 'border-l-soft', tone: 'text-soft', name: 'Not yet' },
};

interface Props {
  id: string;
  entry: VerdictEntry;
  /** Promises that the fix of this entry keeps as well. */
  breaks: readonly VerdictEntry[];
  searching: boolean;
  changes: Changes;
}

/** One thing that the verdict tells, with what would put it right. */
export function EntryCard({ id, entry, breaks, searching, changes }: Props) {
  const [only, ...others] = entry.findings;
  return (
    <div>
      {only === undefined ? (
        <PromiseCard id={id} entry={entry} searching={searching} changes={changes} />
      ) : others.length === 0 ? (
        <FindingCard finding={only} changes={changes} />
      ) : (
        <GroupCard entry={entry} changes={changes} />
      )}
      {breaks.length > 0 && <Breaks id={id} promises={breaks} />}
    </div>
  );
}

function Card({ entry, children }: { entry: VerdictEntry; children: ReactNode }) {
  const { edge, tone, name, icon } = LEVELS[entry.level];
  // Of a promise that is not decided nothing wrong is known.
  const Icon = entry.level === 'check' && entry.promises.length > 0 ? CircleHelp : icon;
  return (
    <article className={clsx('rounded border border-l-[6px] border-line bg-sheet p-3', edge)}>
      <h3 className="flex gap-2 font-bold">
        <Icon size={19} aria-hidden className={clsx('mt-0.5 shrink-0', tone)} />
        <span>
          <span className="sr-only">{name}: </span>
          {entry.title}
        </span>
      </h3>
      {children}
    </article>
  );
}

/** Several findings of one cause: all at once, or each. */
function GroupCard({ entry, changes }: { entry: VerdictEntry; changes: Changes }) {
  const { fixAll, findings } = entry;
  return (
    <Card entry={entry}>
      <p className="mt-1 text-[0.93rem]">{findings[0]?.why}</p>
      {fixAll && (
        <>
          <p className="mt-1 text-[0.87rem] text-soft">{fixAll.effect}</p>
          <p className="mt-2">
            <EditButton edit={fixAll.edit} first effect={fixAll.effect} onTake={() => void changes.edit(fixAll.edit)} />
          </p>
        </>
      )}
      <details className="mt-2 text-[0.93rem]">
        <summary className="min-h-6 cursor-pointer font-semibold">Each of them</summary>
        <div className="mt-2 flex flex-col gap-2">
          {findings.map((finding) => (
            <FindingCard key={finding.key} finding={finding} changes={changes} />
          ))}
        </div>
      </details>
    </Card>
  );
}

/** A promise that is not kept, or several that are not decided for one reason. */
function PromiseCard({ id, entry, searching, changes }: Omit<Props, 'breaks'>) {
  const { promises, reason, steps, fixes } = entry;
  return (
    <Card entry={entry}>
      <p className="mt-1 text-[0.93rem]">{reason}</p>
      {fixes.length > 0 && (
        <div className="mt-2 flex flex-wrap gap-2">
          {fixes.map((fix, i) => (
            <EditButton
              key={fix.id}
              edit={fix.edit}
              first={i === 0}
              effect={`${fix.effect} Proven to keep it.`}
              onTake={() => void changes.edit(fix.edit)}
            />
          ))}
        </div>
      )}
      {searching && <p className="mt-1 text-[0.87rem] text-soft">Trying fixes, each proven on a copy…</p>}
      <p className="mt-1 text-[0.93rem]">
        <Link className="font-semibold underline" to={`/craft/${id}/proof#${promises[0]}`}>
          {steps > 0 ? `How, in ${steps} ${steps === 1 ? 'step' : 'steps'}` : 'What the proof says'}
        </Link>
      </p>
    </Card>
  );
}

/** Promises that are not kept for the same cause: they are told where the cause is. */
function Breaks({ id, promises }: { id: string; promises: readonly VerdictEntry[] }) {
  const count = promises.reduce((sum, p) => sum + p.promises.length, 0);
  return (
    <details className="rounded-b border border-t-0 border-l-[6px] border-line border-l-rust bg-sheet px-3 py-1.5 text-[0.93rem]">
      <summary className="min-h-6 cursor-pointer font-semibold">
        {count === 1 ? 'One promise is' : `${count} promises are`} not kept for that; a fix above is proven to keep{' '}
        {count === 1 ? 'it' : 'them'}
      </summary>
      <ul className="mt-1 flex flex-col gap-1">
        {promises.map((p) => (
          <li key={p.key}>
            <Link className="underline" to={`/craft/${id}/proof#${p.promises[0]}`}>
              {p.title}
            </Link>
            {p.steps > 0 && (
              <span className="text-soft">
                {' '}
                in {p.steps} {p.steps === 1 ? 'step' : 'steps'}
              </span>
            )}
          </li>
        ))}
      </ul>
    </details>
  );
}
