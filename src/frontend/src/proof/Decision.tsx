import type { PromiseView } from '../api/types';
import type { Changes } from '../edits/useChanges';
import { Button } from '../ui/Button';
import { ReasonForm } from '../ui/ReasonForm';

/** Living with a promise as it is, or switching it off: always with a reason, and it can be taken back. */
export function Decision({ promise, changes }: { promise: PromiseView; changes: Changes }) {
  if (promise.note !== '' || promise.state === 'off')
    return (
      <div>
        <Button look="bare" onClick={() => void changes.decide(promise.code, true, '')}>
          Look at it again, without the reason
        </Button>
      </div>
    );
  return (
    <ReasonForm
      offer="Keep it as it is, with a reason"
      onKeep={(reason) => void changes.decide(promise.code, true, reason)}
      more={(reason) => (
        <Button onClick={() => void changes.decide(promise.code, false, reason)} disabled={!reason}>
          Switch the promise off
        </Button>
      )}
    />
  );
}
