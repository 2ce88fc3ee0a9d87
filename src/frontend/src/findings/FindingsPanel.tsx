import type { Finding, SetupDocument } from '../api/types';
import type { Changes } from '../edits/useChanges';
import { Button } from '../ui/Button';
import { FindingCard } from './FindingCard';

interface Props {
  document: SetupDocument;
  findings: readonly Finding[];
  changes: Changes;
}

/** What is wrong now, beside the work; and the way back from the last change. */
export function FindingsPanel({ document, findings, changes }: Props) {
  const open = findings.filter((f) => f.justification === null);
  const kept = findings.filter((f) => f.justification !== null);
  return (
    <section aria-labelledby="findings" className="flex flex-col gap-3">
      <h2 id="findings" className="text-sm font-bold text-soft">
        {open.length === 0 ? 'Nothing wrong' : `Wrong now · ${open.length}`}
      </h2>
      {open.length === 0 && (
        <div className="rounded border border-moss bg-moss-wash p-3">
          <p className="font-bold text-moss">No rule finds a fault on the path.</p>
          <p className="mt-1 text-[0.93rem]">
            What movements can do is for the proof to say. A simulated pass is not a bench pass: with the propellers
            off, move one stick at a time on the real transmitter and watch that the same bar answers on the board.
          </p>
        </div>
      )}
      {open.map((finding) => (
        <FindingCard key={finding.key} finding={finding} changes={changes} />
      ))}
      {kept.length > 0 && <h2 className="text-sm font-bold text-soft">Kept on purpose · {kept.length}</h2>}
      {kept.map((finding) => (
        <FindingCard key={finding.key} finding={finding} changes={changes} />
      ))}
      {document.undoTitle && (
        <p className="flex items-center justify-between gap-2 border-t border-line pt-2 text-[0.87rem] text-soft">
          <span>
            Last change: <b className="text-ink">{document.undoTitle}</b>
          </span>
          <Button onClick={() => void changes.undo()}>Undo it</Button>
        </p>
      )}
    </section>
  );
}
