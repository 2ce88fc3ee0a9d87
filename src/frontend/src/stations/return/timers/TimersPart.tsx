import { Plus } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { freeId, makeEdit } from '../../../api/edits';
import { listed } from '../../../api/listed';
import type { Setup, SetupView } from '../../../api/types';
import type { Changes } from '../../../edits/useChanges';
import { Button } from '../../../ui/Button';
import { TimerRow } from './TimerRow';

interface Props {
  setup: Setup;
  view: SetupView;
  changes: Changes;
}

/** The timers of the transmitter: what each shows, what it does in a flight, and what resets it. */
export function TimersPart({ setup, view, changes }: Props) {
  const [open, setOpen] = useState<string | null>(null);
  const [fresh, setFresh] = useState<string | null>(null);
  const timers = listed(setup.model.timers);
  const add = () => {
    const id = freeId('timer', setup.model.timers ?? {});
    void changes.edit(
      makeEdit('Add a timer', setup, [{ path: ['model', 'timers', id], value: { label: 'New timer' } }]),
    );
    setOpen(id);
    setFresh(id);
  };
  return (
    <>
      <p className="mb-1 max-w-[80ch] text-soft">
        The transmitter counts by itself. When voltage does not come, or its alarm was set wrong, a timer is the last
        that warns.
      </p>
      <ul>
        {timers.map(([id, timer]) => (
          <TimerRow
            key={id}
            id={id}
            timer={timer}
            view={view}
            setup={setup}
            changes={changes}
            open={open === id}
            made={fresh === id}
            onOpen={(now) => setOpen(now ? id : null)}
          />
        ))}
      </ul>
      {timers.length === 0 && <p className="py-2">This model has no timer yet.</p>}
      <div className="mt-3 flex flex-wrap items-center gap-x-4 gap-y-2">
        <Button onClick={add}>
          <Plus size={15} aria-hidden /> Timer
        </Button>
        <Link
          className="target inline-flex min-h-8 items-center font-semibold underline"
          to="../model?part=ready-made&chain=flight-timer"
          relative="path"
        >
          Flight timer, ready made
        </Link>
      </div>
    </>
  );
}
