import clsx from 'clsx';
import { BatteryMedium, Radio, type LucideIcon } from 'lucide-react';
import type { ControlUse, ControlView } from '../api/types';
import { useBench, useBenchState } from './BenchProvider';
import { tone } from './BoardSays';
import { aroundOf } from './craftSteps';
import { HoldButton } from './HoldButton';
import { doesAt, findUse } from './uses';

/** What the bench shows and moves, whole or as a strip. */
export interface BenchParts {
  controls: readonly ControlView[];
  uses: readonly ControlUse[];
  /** True when its controls can be moved. */
  live: boolean;
  /** False while nothing that it shows is of now. */
  connected: boolean;
}

/** The bench as a strip: what the board says, every switch to flick with what it does now, link and battery. */
export function BenchStrip({ controls, uses, live, connected }: BenchParts) {
  return (
    <fieldset
      disabled={!live}
      className={clsx('flex min-h-14 items-stretch gap-2 py-1.5 pr-30 pl-4 max-md:pr-34', !connected && 'opacity-55')}
    >
      <legend className="sr-only">Controls of the bench</legend>
      <StripSays />
      <div className="flex min-w-0 flex-1 flex-wrap gap-1 max-md:hidden *:min-w-16 *:max-w-32 *:flex-1">
        {controls
          .filter((c) => c.kind === 'switch')
          .map((control, i) => (
            <Flick key={control.id} control={control} use={findUse(uses, control.id)} hotkey={i + 1} />
          ))}
        {controls
          .filter((c) => c.kind === 'button')
          .map((control) => (
            <HoldButton key={control.id} control={control} />
          ))}
      </div>
      <Outside />
    </fieldset>
  );
}

/** What the board says, and why, in two lines; on a phone the state alone. */
function StripSays() {
  const report = useBenchState((s) => s.message?.snapshot.board ?? null);
  return (
    <div
      role="status"
      aria-label="The board says"
      className="flex w-56 shrink-0 flex-col justify-center max-md:w-auto max-md:min-w-0 max-md:flex-1"
    >
      <p
        data-testid="board-title"
        className={clsx('truncate text-lg leading-tight font-extrabold', tone(report?.standing))}
      >
        {report?.title ?? '…'}
      </p>
      <p title={report?.reason} className="line-clamp-2 text-[0.75rem] leading-tight">
        {report?.reason}
      </p>
    </div>
  );
}

/** A switch that goes to its next position with every press, and from the last back to the first. */
function Flick({ control, use, hotkey }: { control: ControlView; use: ControlUse | undefined; hotkey: number }) {
  const { move } = useBench();
  const setting = useBenchState((s) => s.message?.snapshot.settings[control.id] ?? control.start);
  const positions = [...control.positions].sort((a, b) => a.setting - b.setting);
  const at = positions.findIndex((p) => p.setting === setting);
  const next = positions[(at + 1) % positions.length];
  const does = doesAt(use, setting);
  const here = positions[at]?.name ?? '';
  const all = [here, ...does].join(', ');
  return (
    <button
      type="button"
      aria-label={`${control.name}: ${all}. Flick it`}
      title={`${control.name}: ${all} (${hotkey})`}
      className="flex h-14 min-w-0 flex-col justify-between rounded border border-deep-line bg-deep-raised px-1 py-0.5 text-left hover:border-deep-ink"
      onClick={() => next && move(control.id, next.setting)}
    >
      <span className="line-clamp-2 w-full text-[0.68rem] leading-[1.05] text-deep-soft">{control.name}</span>
      <span
        className={clsx('w-full truncate text-[0.78rem] leading-[1.15] font-bold', does.length > 0 && 'text-deep-live')}
      >
        {does[0] ?? here}
      </span>
      <span className="flex w-full gap-0.5" aria-hidden>
        {positions.map((p) => (
          <span
            key={p.setting}
            className={clsx('h-1 flex-1 rounded-sm', p.setting === setting ? 'bg-deep-ink' : 'bg-deep-line')}
          />
        ))}
      </span>
    </button>
  );
}

/** Link and battery, the two that are taken away most. */
function Outside() {
  const { link: bench } = useBench();
  const { link, power } = useBenchState(aroundOf);
  return (
    <div className="flex shrink-0 gap-1 max-md:hidden">
      <Toggle name="Link" icon={Radio} word={link ? 'up' : 'lost'} usual={link} onClick={() => bench.setLink(!link)} />
      <Toggle
        name="Battery"
        icon={BatteryMedium}
        word={power ? 'on' : 'off'}
        usual={power}
        onClick={() => bench.setPower(!power)}
      />
    </div>
  );
}

interface ToggleProps {
  name: string;
  icon: LucideIcon;
  word: string;
  usual: boolean;
  onClick: () => void;
}

function Toggle({ name, icon: Icon, word, usual, onClick }: ToggleProps) {
  return (
    <button
      type="button"
      aria-label={`${name}: ${word}`}
      className={clsx(
        'flex h-14 w-13 flex-col items-center justify-center rounded border text-[0.75rem] leading-tight',
        usual ? 'border-deep-live text-deep-live' : 'border-dashed border-deep-warn text-deep-warn',
      )}
      onClick={onClick}
    >
      <Icon size={16} aria-hidden />
      <b>{word}</b>
    </button>
  );
}
