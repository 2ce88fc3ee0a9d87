import { useMutation } from '@tanstack/react-query';
import { FileUp } from 'lucide-react';
import { answer, api } from '../../api/client';
import { recognise } from '../../api/recognise';
import type { RecordedMeasurement } from '../../api/types';
import { Button } from '../../ui/Button';
import { FileButton } from '../../ui/FileButton';
import { Notice } from '../../ui/Notice';

interface Props {
  id: string;
  /** Takes what was measured, and whether the simulated receiver was recorded. */
  onMeasured: (measured: RecordedMeasurement, simulated: boolean) => void;
}

/** Measures by a recording of the signal wire, made while the sticks and switches were moved in the order of the routines. */
export function FromRecording({ id, onMeasured }: Props) {
  const measure = useMutation({
    mutationFn: async ({ recording }: { recording: () => Promise<Blob>; simulated: boolean }) => {
      const { id: capture } = await recognise(id, await recording());
      return answer(api.GET('/api/setups/{id}/captures/{capture}/measurement', { params: { path: { id, capture } } }));
    },
    onSuccess: (measured, { simulated }) => onMeasured(measured, simulated),
  });
  const simulated = () =>
    answer(
      api.GET('/api/setups/{id}/recording', {
        params: { path: { id }, query: { measuring: true } },
        parseAs: 'blob',
      }),
    );
  const problem = measure.error?.message ?? measure.data?.problem;
  return (
    <details className="w-full max-w-4xl">
      <summary className="min-h-6 cursor-pointer font-semibold">From a recording of the wire</summary>
      <p className="my-1 max-w-[75ch] text-soft">
        Record the receiver&apos;s wire while you move, and hold each for two seconds: throttle up, down; roll right,
        left, let go; pitch forward, back, let go; yaw right, left, let go; then each switch through its positions, the
        start position last.
      </p>
      <div className="flex flex-wrap gap-2">
        <FileButton
          label="Recording of the measurement"
          icon={FileUp}
          disabled={measure.isPending}
          onFile={(file) => measure.mutate({ recording: () => Promise.resolve(file), simulated: false })}
        >
          {measure.isPending ? 'Reading…' : 'Choose a recording'}
        </FileButton>
        <Button disabled={measure.isPending} onClick={() => measure.mutate({ recording: simulated, simulated: true })}>
          Record the simulated receiver
        </Button>
      </div>
      {problem && (
        <div className="mt-2">
          <Notice title="The recording does not tell everything">
            <p>{problem}</p>
          </Notice>
        </div>
      )}
    </details>
  );
}
