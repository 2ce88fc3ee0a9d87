import { useIsFetching } from '@tanstack/react-query';
import { Fragment } from 'react';
import { findingsQuery } from '../api/queries';
import type { Finding, ProofView, SetupDocument } from '../api/types';
import type { Changes } from '../edits/useChanges';
import { FindingCard } from '../findings/FindingCard';
import { PromiseCard } from '../proof/PromiseCard';
import { isOpen } from '../proof/states';
import { useProof } from '../proof/useProof';
import { verdict, type Verdict } from '../proof/verdict';
import { Button } from '../ui/Button';

interface Props {
  document: SetupDocument;
  findings: readonly Finding[];
  changes: Changes;
}

/** What is wrong now, by the rules and by the proof together; and the way back from the last change. */
export function VerdictPanel({ document, findings, changes }: Props) {
  const latest = useProof(document.id).proof;
  // A proof of the revision before says nothing of this one.
  const proof = latest?.revision === document.revision ? latest : undefined;
  const open = findings.filter((f) => f.justification === null);
  const kept = findings.filter((f) => f.justification !== null);
  const broken = proof?.promises.filter(isOpen) ?? [];
  const looking = useIsFetching({ queryKey: findingsQuery(document.id).queryKey }) > 0;
  const says = verdict(open.length, proof, looking);
  return (
    <section aria-labelledby="verdict" className="flex flex-col gap-3">
      <h2 id="verdict" className="text-sm font-bold text-soft" data-verdict={says}>
        {heading(says, open.length + broken.length, proof)}
      </h2>
      {says !== 'wrong' && <Box says={says} proof={proof} />}
      {/* Dangers first, of either kind. */}
      {[true, false].map((danger) => (
        <Fragment key={String(danger)}>
          {open
            .filter((f) => (f.severity === 'danger') === danger)
            .map((finding) => (
              <FindingCard key={finding.key} finding={finding} changes={changes} />
            ))}
          {broken
            .filter((p) => (p.state === 'broken') === danger)
            .map((promise) => (
              <PromiseCard key={promise.code} id={document.id} promise={promise} />
            ))}
        </Fragment>
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

function heading(says: Verdict, wrong: number, proof: ProofView | undefined): string {
  switch (says) {
    case 'wrong':
      return proof && !proof.running ? `Wrong now · ${wrong}` : `Wrong so far · ${wrong}, the proof goes on`;
    case 'not-yet':
      return 'Nothing wrong so far, the proof goes on';
    case 'unfinished':
      return 'Nothing wrong so far, the proof was stopped';
    case 'right':
      return 'Nothing wrong';
  }
}

function Box({ says, proof }: { says: Exclude<Verdict, 'wrong'>; proof: ProofView | undefined }) {
  const right = says === 'right';
  const left = proof?.promises.filter((p) => p.state === 'waiting' || p.state === 'running').length;
  return (
    <div className={right ? 'rounded border border-moss bg-moss-wash p-3' : 'rounded border border-line bg-sheet p-3'}>
      <p className={right ? 'font-bold text-moss' : 'font-bold'}>
        {right
          ? 'No rule finds a fault, and every promise is proven or kept for a reason.'
          : `No rule finds a fault on the path. ${left === 1 ? 'One promise is' : `${left ?? 'All'} promises are`} still to be proven.`}
      </p>
      <p className="mt-1 text-[0.93rem]">
        A simulated pass is not a bench pass: with the propellers off, move one stick at a time on the real transmitter
        and watch that the same bar answers on the board.
      </p>
    </div>
  );
}
