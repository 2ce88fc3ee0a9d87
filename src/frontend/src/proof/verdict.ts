import type { ProofView } from '../api/types';
import { isOpen } from './states';

/** What can be said of a craft in a word. It is right only when the rules find nothing and the proof has ended with every promise
 *  proven, or kept as it is for a reason of the pilot's. */
export type Verdict = 'wrong' | 'not-yet' | 'unfinished' | 'right';

/** The verdict of rules and proof together.
 *  @param findings How many findings are open.
 *  @param proof The proof, for the same revision; undefined while it is not known.
 *  @param looking True while the findings may be those of the revision before. */
export function verdict(findings: number, proof: ProofView | undefined, looking = false): Verdict {
  if (findings > 0 || proof?.promises.some(isOpen)) return 'wrong';
  if (looking || !proof || proof.running || proof.promises.length === 0) return 'not-yet';
  return proof.promises.some((p) => p.state === 'waiting' || p.state === 'running') ? 'unfinished' : 'right';
}
