import clsx from 'clsx';
import { ChevronDown, PanelRightClose, PanelRightOpen } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import type { SetupDocument, VerdictEntry, VerdictView } from '../api/types';
import type { Changes } from '../edits/useChanges';
import { FindingCard } from '../findings/FindingCard';
import { Button } from '../ui/Button';
import { EntryCard } from './EntryCard';
import { useWaitingPress } from './useWaitingPress';

interface Props {
  document: SetupDocument;
  view: VerdictView | undefined;
  changes: Changes;
  /** Full beside the work, a line above it where there is no room beside, a rail where nothing is open. */
  look: 'full' | 'line' | 'rail';
  /** Makes it a rail, or full again; undefined while something is open. */
  onRail: ((unrolled: boolean) => void) | undefined;
}

/** Whether a verdict on this revision has nothing that is open or kept; null before that is known. */
export function isEmpty(view: VerdictView | undefined, revision: number): boolean | null {
  if (view?.revision !== revision) return null;
  const { entries, kept, word } = view.verdict;
  if (entries.length + kept.length > 0) return false;
  return word === 'nothing-so-far' ? null : true;
}

/** The one verdict on the craft, what is open in it, and the way back from the last change. */
export function VerdictPanel({ document, view, changes, look, onRail }: Props) {
  // A verdict on the revision before says nothing of this one.
  const current = view?.revision === document.revision ? view : undefined;
  const headline = current?.verdict.headline ?? 'Looking at the change…';
  const word = current?.verdict.word ?? 'looking';
  const tone = word === 'nothing-wrong' ? 'text-moss' : word === 'wrong' ? 'text-ink' : 'text-soft';
  const [opened, setOpened] = useState(false);
  if (look === 'rail')
    return (
      <aside aria-label="Verdict" className="border-l border-line">
        <button
          type="button"
          aria-label={`${headline}. Show the verdict`}
          className="flex h-full w-full flex-col items-center gap-2 py-3 hover:bg-hair"
          onClick={() => onRail?.(true)}
        >
          <PanelRightOpen size={17} aria-hidden />
          <span data-verdict={word} className={clsx('text-sm font-bold [writing-mode:vertical-rl]', tone)}>
            {headline}
          </span>
        </button>
      </aside>
    );
  if (look === 'line')
    return (
      <aside aria-label="Verdict" className="border-b border-line px-5 max-sm:px-3">
        <details
          open={opened}
          onToggle={(event) => event.target === event.currentTarget && setOpened(event.currentTarget.open)}
        >
          <summary className="flex min-h-11 cursor-pointer items-center gap-2 font-bold">
            <h2 data-verdict={word} className={tone}>
              {headline}
            </h2>
            <ChevronDown size={17} aria-hidden className={clsx('ml-auto shrink-0', opened && 'rotate-180')} />
          </summary>
          {opened && (
            <div className="pb-3">
              <Told document={document} view={view} changes={changes} />
            </div>
          )}
        </details>
      </aside>
    );
  return (
    <aside aria-label="Verdict" className="relative min-h-0 overflow-y-auto border-l border-line px-4 py-3">
      <div className="mb-2 flex items-center justify-between gap-2">
        <h2 data-verdict={word} className={clsx('font-bold', tone)}>
          {headline}
        </h2>
        {onRail && (
          <button
            type="button"
            aria-label="Fold the verdict"
            title="Fold the verdict"
            className="grid size-7 place-items-center rounded hover:bg-hair"
            onClick={() => onRail(false)}
          >
            <PanelRightClose size={17} aria-hidden />
          </button>
        )}
      </div>
      <Told document={document} view={view} changes={changes} />
    </aside>
  );
}

/** What the verdict tells, the worst first. */
function Told({ document, view, changes }: Pick<Props, 'document' | 'view' | 'changes'>) {
  const { id, undoTitle } = document;
  const entries = view?.verdict.entries ?? [];
  const roots = entries.filter((e) => e.causedBy === null);
  // What was said of the revision before stays in sight until more is known; what is pressed meanwhile waits for that.
  const outdated = view !== undefined && view.revision !== document.revision;
  const wait = useWaitingPress(outdated);
  const right = view?.verdict.word === 'nothing-wrong';
  return (
    <div className={clsx('flex flex-col gap-3', outdated && 'opacity-60')} aria-busy={outdated} onClickCapture={wait}>
      {view && view.verdict.sentence !== '' && (
        <div
          className={right ? 'rounded border border-moss bg-moss-wash p-3' : 'rounded border border-line bg-sheet p-3'}
        >
          <p className={right ? 'font-bold text-moss' : 'font-bold'}>{view.verdict.sentence}</p>
          <p className="mt-1 text-[0.93rem]">
            A simulated pass is not a bench pass.{' '}
            <Link className="font-semibold underline" to={`/craft/${id}/work`}>
              What remains to be shown at the bench
            </Link>
          </p>
        </div>
      )}
      {roots.map((entry) => (
        <EntryCard
          key={entry.key}
          id={id}
          entry={entry}
          breaks={entries.filter((e) => e.causedBy === entry.key)}
          searching={view?.searching ?? false}
          changes={changes}
        />
      ))}
      <Kept id={id} entries={view?.verdict.kept ?? []} changes={changes} />
      {undoTitle && (
        <p className="flex items-center justify-between gap-2 border-t border-line pt-2 text-[0.87rem] text-soft">
          <span>
            Last change: <b className="text-ink">{undoTitle}</b>
          </span>
          <Button onClick={() => void changes.undo()}>Undo it</Button>
        </p>
      )}
    </div>
  );
}

/** What is left as it is for a reason. */
function Kept({ id, entries, changes }: { id: string; entries: readonly VerdictEntry[]; changes: Changes }) {
  if (entries.length === 0) return null;
  return (
    <>
      <h2 className="text-sm font-bold text-soft">Kept on purpose · {entries.length}</h2>
      {entries.map((entry) =>
        entry.findings[0] ? (
          <FindingCard key={entry.key} finding={entry.findings[0]} changes={changes} />
        ) : (
          <p key={entry.key} className="rounded border border-l-[6px] border-line bg-sheet p-3 text-[0.93rem]">
            <Link className="font-bold underline" to={`/craft/${id}/proof#${entry.promises[0]}`}>
              {entry.title}
            </Link>
          </p>
        ),
      )}
    </>
  );
}
