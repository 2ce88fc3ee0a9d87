import { useMutation } from '@tanstack/react-query';
import { answer, api } from '../../api/client';
import type { BoardReadings } from '../../api/types';
import { Notice } from '../../ui/Notice';
import { RecordWire } from './RecordWire';
import { useWire } from './useWire';

interface Props {
  id: string;
  /** Takes what was measured, and whether a real wire was recorded or the simulated receiver. */
  onMeasured: (readings: BoardReadings, from: 'wire' | 'bench') => void;
}

/** Measures by a recording of the signal wire, made while the sticks and switches were moved in the order of the routines. */
export function FromRecording({ id, onMeasured }: Props) {
  const { choose } = useWire(id);
  const measure = useMutation({
    mutationFn: async (file: File | null) => {
      const { capture } = await choose.mutateAsync(file);
      return answer(api.GET('/api/setups/{id}/captures/{capture}/measurement', { params: { path: { id, capture } } }));
    },
    onSuccess: ({ readings }, file) => onMeasured(readings, file ? 'wire' : 'bench'),
  });
  const problem = measure.error?.message ?? measure.data?.problem;
  return (
    <div className="w-full max-w-4xl">
      <RecordWire reads={measure.isPending} onChoose={measure.mutate} />
      {problem && (
        <div className="mt-2">
          <Notice title="The recording does not tell everything">
            <p>{problem}</p>
          </Notice>
        </div>
      )}
    </div>
  );
}
