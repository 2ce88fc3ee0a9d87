import clsx from 'clsx';
import { CircleCheck, OctagonAlert, TriangleAlert } from 'lucide-react';
import { Link } from 'react-router';
import type { Finding } from '../api/types';
import { STATION_NAMES } from '../api/stations';
import { EditButton } from '../edits/EditButton';
import type { Changes } from '../edits/useChanges';
import { Button } from '../ui/Button';
import { ReasonForm } from '../ui/ReasonForm';

/** One finding: what, why, where from, and what would put it right. */
export function FindingCard({ finding, changes }: { finding: Finding; changes: Changes }) {
  const danger = finding.severity === 'danger';
  const kept = finding.justification !== null;
  const Icon = kept ? CircleCheck : danger ? OctagonAlert : TriangleAlert;
  return (
    <article
      className={clsx(
        'rounded border border-l-[6px] border-line bg-sheet p-3',
        kept ? 'border-l-line' : danger ? 'border-l-rust' : 'border-l-ochre',
      )}
    >
      <h3 className="flex gap-2 font-bold">
        <Icon
          size={19}
          aria-hidden
          className={clsx('mt-0.5 shrink-0', kept ? 'text-soft' : danger ? 'text-rust' : 'text-ochre')}
        />
        <span>
          <span className="sr-only">
            {kept ? 'Kept on purpose' : danger ? 'Wrong' : 'To check'}, at {STATION_NAMES[finding.station]}:{' '}
          </span>
          {finding.title}
        </span>
      </h3>
      <p className="mt-1 text-[0.93rem]">{finding.what}</p>
      {kept ? (
        <p className="mt-1 text-[0.93rem]">
          <b>Kept on purpose:</b> {finding.justification}
        </p>
      ) : (
        <p className="mt-1 text-[0.93rem]">{finding.why}</p>
      )}
      <div className="mt-2 flex flex-wrap gap-2">
        {!kept &&
          finding.fixes.map((fix, i) => (
            <EditButton
              key={fix.id}
              edit={fix.edit}
              first={i === 0}
              effect={fix.effect}
              onTake={() => void changes.fix(finding.key, fix.id)}
            />
          ))}
        {finding.mayBeJustified && <Keep finding={finding} changes={changes} />}
      </div>
      {!kept && (
        <details className="mt-2 text-[0.84rem] text-soft">
          <summary className="min-h-6 cursor-pointer">What a fix changes, and where the rule comes from</summary>
          <ul className="mt-1 list-disc pl-4">
            {finding.fixes.map((fix) => (
              <li key={fix.id}>
                <b>{fix.edit.title}:</b> {fix.effect}
              </li>
            ))}
          </ul>
          <p className="mt-1">
            {finding.provenance.words}{' '}
            <Link className="underline" to="/figures">
              Where figures come from
            </Link>
          </p>
        </details>
      )}
    </article>
  );
}

function Keep({ finding, changes }: { finding: Finding; changes: Changes }) {
  if (finding.justification !== null)
    return (
      <Button look="bare" onClick={() => void changes.justify(finding.key, '')}>
        Take the reason back
      </Button>
    );
  return <ReasonForm offer="Keep it, with a reason" onKeep={(reason) => void changes.justify(finding.key, reason)} />;
}
