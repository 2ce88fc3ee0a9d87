import { Plus } from 'lucide-react';
import { freeId, makeEdit } from '../../api/edits';
import type { ControlView, Setup, SetupView } from '../../api/types';
import type { Changes } from '../../edits/useChanges';
import { Button } from '../../ui/Button';
import { StationHead } from '../../ui/StationHead';
import { ControlTile } from './ControlTile';
import { PowerOnCheck } from './PowerOnCheck';
import { TransmitterFields } from './TransmitterFields';
import { Term } from '../../ui/Term';

interface Props {
  id: string;
  setup: Setup;
  view: SetupView;
  changes: Changes;
}

type Side = 'left' | 'right' | 'both';

/** Where the fingers find things: from the thumbs round the front to the back. */
const ROWS: { name: string; sides: Partial<Record<Side, (control: ControlView) => boolean>> }[] = [
  { name: 'stick', sides: { left: (c) => c.place?.rightHand === false, right: (c) => c.place?.rightHand === true } },
  { name: 'front', sides: { left: (c) => c.where === 'left-front', right: (c) => c.where === 'right-front' } },
  { name: 'shoulder', sides: { left: (c) => c.where === 'left-shoulder', right: (c) => c.where === 'right-shoulder' } },
  { name: 'back', sides: { left: (c) => c.where === 'left-back', right: (c) => c.where === 'right-back' } },
  { name: 'Sockets', sides: { both: (c) => c.where === 'socket' } },
];

/** The transmitter's controls where the fingers find them, and what each does in every position. */
export function HandsStation({ id, setup, view, changes }: Props) {
  const add = () => {
    const id = freeId('control', setup.transmitter.controls);
    const value = { kind: 'switch', label: 'New switch', place: 'left-front', positions: 2, start: 1, safe: 1 };
    void changes.edit(makeEdit('Add a control', setup, [{ path: ['transmitter', 'controls', id], value }]));
  };
  const free = view.uses.filter((u) => u.free).length;
  return (
    <>
      <div className="mb-3 flex flex-wrap items-start justify-between gap-x-3">
        <StationHead title={`Hands: ${setup.transmitter.name}`}>
          What each control does in every position, from its <Term word="safe end" /> on, the others resting at their
          start. {free > 0 ? `${free} ${free === 1 ? 'control is' : 'controls are'} free.` : 'No control is free.'}
        </StationHead>
        <TransmitterFields setup={setup} view={view} changes={changes} />
      </div>
      <PowerOnCheck id={id} setup={setup} items={view.powerOn} changes={changes} />
      {ROWS.map(({ name, sides }) => {
        const columns = Object.entries(sides)
          .map(([side, fits]) => ({ side, controls: view.controls.filter(fits) }))
          .filter(({ controls }) => controls.length > 0);
        if (columns.length === 0) return null;
        return (
          <div key={name} className="mb-3 grid grid-cols-2 items-start gap-x-5 max-xl:grid-cols-1">
            {columns.map(({ side, controls }) => (
              <section key={side} aria-label={heading(side, name)} className={side === 'both' ? 'col-span-full' : ''}>
                <h2 className="border-b-2 border-ink pb-0.5 text-[0.84rem] font-semibold text-soft">
                  {heading(side, name)}
                </h2>
                {controls.map((control) => (
                  <ControlTile
                    key={control.id}
                    control={control}
                    use={view.uses.find((u) => u.control === control.id)}
                    setup={setup}
                    changes={changes}
                  />
                ))}
              </section>
            ))}
          </div>
        );
      })}
      <Button onClick={add}>
        <Plus size={15} aria-hidden /> Control
      </Button>
    </>
  );
}

function heading(side: string, name: string): string {
  return side === 'both' ? name : `${side === 'left' ? 'Left' : 'Right'} ${name}`;
}
