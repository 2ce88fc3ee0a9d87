import { useLocation } from 'react-router';
import { RANGES } from '../api/generated/ranges';
import type { Setup } from '../api/types';
import type { Changes } from '../edits/useChanges';
import { StationHead } from '../ui/StationHead';
import { Button } from '../ui/Button';
import { Notice } from '../ui/Notice';
import { PromiseRow } from './PromiseRow';
import { NumberField } from '../ui/NumberField';
import { isOpen, roughly } from './states';
import { useProof } from './useProof';

interface Props {
  id: string;
  setup: Setup;
  changes: Changes;
}

/** The promises of the craft: proven in every reachable state, or broken by a sequence that can be read and played. */
export function ProofStation({ id, setup, changes }: Props) {
  const { proof, error, begin, cancel } = useProof(id);
  const { hash } = useLocation();
  const promises = [...(proof?.promises ?? [])].sort((a, b) => Number(isOpen(b)) - Number(isOpen(a)));
  const seconds = proof?.seconds ?? 120;
  const current = proof?.promises.find((p) => p.state === 'running');
  return (
    <>
      <StationHead title={`Proof: what ${setup.craft.name} promises`}>
        Every combination of controls, memory, link and board is gone through after every change. A simulated pass is
        not a bench pass; propellers off whenever a sequence is tried on the real craft.
      </StationHead>
      {error && <Notice title={error.message} />}
      <div className="mb-4 flex flex-wrap items-center gap-3" role="status">
        {proof?.running ? (
          <>
            <span className="font-semibold">
              {current ? `Proving: ${current.name}` : 'Getting ready'}
              {proof.found > 0 && ` · ${roughly(proof.found)} states so far`}
            </span>
            {proof.estimate > 0 && (
              <progress
                aria-label="States found, of the most there may be"
                className="h-2 w-40"
                max={proof.estimate}
                value={proof.found}
              />
            )}
            <Button onClick={() => cancel()}>Cancel</Button>
          </>
        ) : (
          <>
            <span className="text-soft">{summary(proof?.promises ?? [], proof?.cancelled ?? false)}</span>
            <Button onClick={() => begin({ twoHands: false, seconds })}>Prove again</Button>
            <Button onClick={() => begin({ twoHands: true, seconds })}>
              {proof?.twoHands ? 'Again with two hands at once' : 'Also two hands at once'}
            </Button>
            <NumberField
              label="Each may take"
              unit="s"
              value={seconds}
              {...RANGES['ProofRunRequest.seconds']}
              onCommit={(v) => begin({ twoHands: proof?.twoHands ?? false, seconds: v })}
            />
          </>
        )}
      </div>
      <ul className="border-t-2 border-ink">
        {promises.map((promise) => (
          <li key={promise.code} className="border-b border-line">
            <PromiseRow
              // One that a link asks for is opened, also when the page stands here already.
              key={String(hash === `#${promise.code}`)}
              asked={hash === `#${promise.code}`}
              id={id}
              promise={promise}
              revision={proof?.revision ?? 0}
              setup={setup}
              changes={changes}
            />
          </li>
        ))}
      </ul>
    </>
  );
}

function summary(promises: readonly { states: number; milliseconds: number }[], cancelled: boolean): string {
  const states = promises.reduce((sum, p) => sum + p.states, 0);
  const seconds = promises.reduce((sum, p) => sum + p.milliseconds, 0) / 1000;
  const looked = `${roughly(states)} states looked at in ${seconds.toFixed(1)} s`;
  return cancelled ? `Cancelled. ${looked}` : looked;
}
