import { answer, api } from './client';
import type { CaptureView } from './types';

/** Sends a recording of the signal wire to be recognised. */
export const recognise = (id: string, recording: Blob): Promise<CaptureView> =>
  answer(
    api.POST('/api/setups/{id}/captures', {
      params: { path: { id } },
      body: recording as never,
      bodySerializer: (body: unknown) => body as Blob,
      headers: { 'Content-Type': 'application/octet-stream' },
    }),
  );
