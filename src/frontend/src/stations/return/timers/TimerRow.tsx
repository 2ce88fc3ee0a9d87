import clsx from 'clsx';
import { RotateCcw } from 'lucide-react';
import { useEffect, useRef } from 'react';
import type { FlightTimer, Setup, SetupView } from '../../../api/types';
import { makeEdit } from '../../../api/edits';
import { useBench, useBenchState } from '../../../bench/BenchProvider';
import { RemoveButton } from '../../../edits/RemoveButton';
import type { Changes } from '../../../edits/useChanges';
import { Button } from '../../../ui/Button';
import { TimerFields } from './TimerFields';
import { TimerFlight } from './TimerFlight';

interface Props {
  id: string;
  timer: FlightTimer;
  setup: Setup;
  view: SetupView;
  changes: Changes;
  open: boolean;
  /** True when it was just made: its first field has the focus then. */
  made: boolean;
  onOpen: (open: boolean) => void;
}

/** A timer: what it shows now, what starts and resets it, and what it does in a flight. */
export function TimerRow({ id, timer, setup, view, changes, open, made, onOpen }: Props) {
  const { link } = useBench();
  const row = useRef<HTMLLIElement>(null);
  useEffect(() => {
    if (made) row.current?.querySelector<HTMLElement>('input')?.focus();
  }, [made]);
  const put = (title: string, value: FlightTimer) =>
    void changes.edit(makeEdit(title, setup, [{ path: ['model', 'timers', id], value }]));
  return (
    <li ref={row} className="border-b border-line py-3">
      <div className="grid grid-cols-[8.5rem_minmax(0,1fr)_auto] items-start gap-x-5 gap-y-1 max-sm:grid-cols-[1fr_auto]">
        <div>
          <h2 className="leading-tight font-bold wrap-anywhere">{timer.label}</h2>
          <Shown id={id} />
        </div>
        <p className="max-w-[70ch] pt-0.5 max-sm:order-last max-sm:col-span-2">
          <Sentence id={id} timer={timer} view={view} />
        </p>
        <div className="flex items-center gap-1">
          <Button aria-label={`Reset ${timer.label} by hand`} onClick={() => link.resetTimer(id)}>
            <RotateCcw size={15} aria-hidden /> Reset
          </Button>
          <Button
            aria-expanded={open}
            aria-label={`${open ? 'Close' : 'Change'}: ${timer.label}`}
            onClick={() => onOpen(!open)}
          >
            {open ? 'Close' : 'Change'}
          </Button>
          <RemoveButton place={`/model/timers/${id}`} name={timer.label} changes={changes} />
        </div>
      </div>
      <TimerFlight label={timer.label} flight={view.timers[id]?.flight ?? []} />
      {open && <TimerFields timer={timer} setup={setup} view={view} onPut={put} />}
    </li>
  );
}

/** What it shows on the bench, large; and whether it counts. */
function Shown({ id }: { id: string }) {
  const shown = useBenchState((s) => s.message?.snapshot.timers[id]?.shown ?? '–');
  const counting = useBenchState((s) => s.message?.snapshot.timers[id]?.counting ?? false);
  return (
    <p
      data-testid={`timer-${id}`}
      className={clsx('font-mono text-[2rem] leading-none font-extrabold', !counting && 'text-soft')}
    >
      {shown}
      <small className={clsx('mt-1 block font-sans text-[0.8rem] font-semibold', counting ? 'text-sea' : 'text-soft')}>
        {counting ? 'counts' : 'stands still'}
      </small>
    </p>
  );
}

/** What it does, and what it lacks. */
function Sentence({ id, timer, view }: Pick<Props, 'id' | 'timer' | 'view'>) {
  const lacks = [
    !timer.while && 'Nothing starts it.',
    !timer.reset && 'Nothing resets it.',
    timer.reset?.enabled === false && 'But its reset is not enabled.',
  ].filter((l) => l !== false);
  return (
    <>
      {view.timers[id]?.sentence} <b className="text-rust">{lacks.join(' ')}</b>
    </>
  );
}
