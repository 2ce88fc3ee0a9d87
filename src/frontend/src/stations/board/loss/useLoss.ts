import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { answer, api } from '../../../api/client';
import type { FlightAtLoss, Setup } from '../../../api/types';

/** A loss of the signal, as the bench plays it; what was played before stays until the new one is there. */
export function useLoss(id: string, setup: Setup, flight: FlightAtLoss | null, throttle: number, fix: boolean) {
  return useQuery({
    // A setup is another object as soon as anything in it is another.
    queryKey: ['setup', id, 'loss', setup.board, setup.air, setup.wire, setup.model, flight, throttle, fix],
    queryFn: ({ signal }) =>
      answer(api.POST('/api/setups/{id}/loss', { params: { path: { id } }, body: { throttle, fix, flight }, signal })),
    placeholderData: keepPreviousData,
    gcTime: 10_000,
  });
}
