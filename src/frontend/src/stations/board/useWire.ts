import { useMutation } from '@tanstack/react-query';
import { nullable, object, string } from 'valibot';
import { answer, api } from '../../api/client';
import { recognise } from '../../api/recognise';
import { useKept } from '../../ui/useKept';

/** A recording of the wire that the server holds for a while. */
export interface Wire {
  capture: string;
  /** The name of the file; empty for the simulated receiver. */
  name: string;
}

const wireShape = nullable(object({ capture: string(), name: string() }));

/** The recording of a craft's wire that was chosen last in this tab, and two ways to another one. */
export function useWire(id: string) {
  const [wire, keep] = useKept<Wire | null>(`zephyros.wire.${id}`, wireShape, null);
  const choose = useMutation({
    mutationFn: async (file: File | null): Promise<Wire> => {
      const recording = file ?? (await simulated(id));
      const { id: capture } = await recognise(id, recording);
      return { capture, name: file?.name ?? '' };
    },
    onSuccess: keep,
  });
  return { wire, choose, forget: () => keep(null) };
}

const simulated = (id: string): Promise<Blob> =>
  answer(
    api.GET('/api/setups/{id}/recording', {
      params: { path: { id }, query: { measuring: true } },
      parseAs: 'blob',
    }),
  );
