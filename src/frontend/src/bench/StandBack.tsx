import clsx from 'clsx';
import { X } from 'lucide-react';
import { Dialog } from 'radix-ui';
import { markOf, STATION_NAMES } from '../api/stations';
import { BoardSays } from './BoardSays';
import { useBenchState } from './BenchProvider';
import { useFocusBack } from '../ui/useFocusBack';

/** The followed control and what the board says, in figures to be read from where the transmitter is held. */
export function StandBack({ open, onOpenChange }: { open: boolean; onOpenChange: (open: boolean) => void }) {
  const back = useFocusBack();
  return (
    <Dialog.Root open={open} onOpenChange={onOpenChange}>
      <Dialog.Portal>
        <Dialog.Content
          {...back}
          aria-describedby={undefined}
          className="fixed inset-0 z-50 flex flex-col overflow-auto bg-paper"
        >
          <Figures />
          <Dialog.Close
            className="fixed top-3 right-3 rounded border border-line bg-sheet p-2"
            aria-label="Close the stand-back view"
          >
            <X aria-hidden />
          </Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

function Figures() {
  const trace = useBenchState((s) => s.message?.snapshot.trace ?? null);
  return (
    <>
      <Dialog.Title className="px-6 pt-4 text-4xl font-bold">{trace?.name ?? '…'}</Dialog.Title>
      <ol className="grid flex-1 grid-cols-3 gap-x-6 px-6 max-md:grid-cols-1">
        {trace?.stops.map((stop) => (
          <li key={stop.station} className="flex flex-col justify-center border-t-2 border-line py-2">
            <span className="text-xl font-semibold text-soft">
              {STATION_NAMES[stop.station]} <span className="font-normal">{markOf(stop)}</span>
            </span>
            <span
              className={clsx(
                'text-[clamp(3.6rem,7vw,8rem)] leading-none font-extrabold tracking-tight wrap-anywhere',
                stop.mark === 'wrong' && 'text-rust underline decoration-dashed decoration-4 underline-offset-8',
                stop.mark === 'ended' && 'text-soft',
              )}
            >
              {stop.figure}
              <small className="ml-2 text-[0.4em] font-semibold tracking-normal">{stop.unit}</small>
            </span>
            <span className="text-xl text-soft">{stop.note}</span>
          </li>
        ))}
      </ol>
      <div className="on-deep bg-deep px-6 py-4 text-deep-ink max-md:order-first [&_li]:text-2xl [&_p]:text-2xl [&_[data-testid=board-title]]:text-[clamp(4rem,8vw,8rem)] [&_[data-testid=board-title]]:leading-none">
        <BoardSays />
      </div>
    </>
  );
}
