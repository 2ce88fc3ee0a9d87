import clsx from 'clsx';
import { Pencil } from 'lucide-react';
import type { ControlUse, ControlView, Setup } from '../../api/types';
import { useBench, useBenchState } from '../../bench/BenchProvider';
import { LookAtDrafts } from '../../edits/LookAtDrafts';
import type { Changes } from '../../edits/useChanges';
import { Popup } from '../../ui/Popup';
import { ControlEditor } from './ControlEditor';

interface Props {
  control: ControlView;
  use: ControlUse | undefined;
  setup: Setup;
  changes: Changes;
}

const KIND: Record<ControlView['kind'], string> = {
  stick: 'stick',
  switch: 'switch',
  button: 'button',
  dial: 'dial',
  slider: 'slider',
  input: 'external input',
};

/** One control: what it is called, what it is, and a column for each of its positions with all that it makes happen. */
export function ControlTile({ control, use, setup, changes }: Props) {
  const { move, followed } = useBench();
  const setting = useBenchState((s) => s.message?.snapshot.settings[control.id] ?? control.start);
  const made = setup.transmitter.controls[control.id];
  if (!made || !use) return null;
  const what =
    control.kind === 'switch'
      ? `${control.positions.length} positions`
      : control.latching
        ? 'latching button'
        : KIND[control.kind];
  return (
    <article className={clsx('-mx-2 border-b border-hair px-2 py-1.5', followed === control.id && 'bg-sea-wash/60')}>
      <div className="flex items-center gap-2">
        <h3 className="font-bold">{control.name}</h3>
        <span className="text-[0.84rem] text-soft">
          {made.alias && `${made.label} · `}
          {made.short && `${made.short} · `}
          {what}
          {use.asked.length > 0 && ` · asked for by ${use.asked.map((a) => `“${a}”`).join(', ')}`}
        </span>
        {use.free && (
          <span className="rounded-full border border-dashed border-soft px-2 text-[0.8rem] text-soft">free</span>
        )}
        <span className="flex-1" />
        <Popup
          label={`Edit ${control.name}`}
          trigger={
            <button type="button" aria-label={`Edit ${control.name}`} className="rounded p-1.5 hover:bg-hair">
              <Pencil size={15} aria-hidden />
            </button>
          }
        >
          <LookAtDrafts changes={changes}>
            <ControlEditor id={control.id} control={made} setup={setup} changes={changes} />
          </LookAtDrafts>
        </Popup>
      </div>
      {!use.free && (
        <div className="flex flex-wrap gap-1">
          {use.positions.map((position) => (
            <button
              key={position.setting}
              type="button"
              aria-label={`Put ${control.name} at ${position.name}`}
              aria-pressed={position.setting === setting}
              className={clsx(
                'flex min-w-32 flex-1 flex-col justify-start rounded-sm border px-2 py-1 text-left hover:border-ink',
                position.setting === setting ? 'border-2 border-sea bg-sheet' : 'border-hair',
              )}
              onClick={() => move(control.id, position.setting)}
            >
              <span className="text-[0.84rem] text-soft">{position.name}</span>
              {position.values.slice(0, 3).map((value) => (
                <span key={value.channel} className="block font-mono text-[0.87rem] whitespace-nowrap">
                  <span className="text-soft">ch {value.channel}</span> <b>{Math.round(value.received)} µs</b>
                </span>
              ))}
              {position.does.map((does) => (
                <span key={does} className="block text-[0.87rem] leading-tight font-semibold">
                  {does}
                </span>
              ))}
            </button>
          ))}
        </div>
      )}
    </article>
  );
}
