import clsx from 'clsx';
import type { ControlUse, ControlView } from '../api/types';
import { Key } from '../ui/Key';
import { useBench, useBenchState } from './BenchProvider';
import { DetentTile } from './DetentTile';
import { doesAt } from './uses';

/** So many positions still leave each a target of 24 px (WCAG 2.5.8). */
const BUTTONS_AT_MOST = 3;

/** A switch: its positions stacked as the fingers find them, the safe end marked. */
export function SwitchTile({
  control,
  use,
  hotkey,
}: {
  control: ControlView;
  use: ControlUse | undefined;
  hotkey: string;
}) {
  const { move } = useBench();
  const setting = useBenchState((s) => s.message?.snapshot.settings[control.id] ?? control.start);
  const stacked = [...control.positions].sort((a, b) => a.setting - b.setting);
  const safe = control.positions[0]?.setting;
  const does = doesAt(use, setting);
  return (
    <fieldset className="flex min-w-0 flex-col items-center">
      <legend className="sr-only">{control.name}</legend>
      {stacked.length > BUTTONS_AT_MOST ? (
        <DetentTile control={control} setting={setting} />
      ) : (
        <div className="flex h-[5.4rem] w-full max-w-11 flex-col gap-0.5 rounded border border-deep-ink/45 p-0.5">
          {stacked.map((position) => (
            <button
              key={position.setting}
              type="button"
              aria-label={`${control.name} ${position.name}`}
              aria-pressed={position.setting === setting}
              className={clsx(
                'relative min-h-0 flex-1 rounded-sm',
                position.setting === setting ? 'bg-deep-ink text-deep' : 'bg-deep-raised hover:bg-deep-line',
              )}
              onClick={() => move(control.id, position.setting)}
            >
              {position.setting === safe && (
                <span className="absolute inset-x-0 top-1/2 mx-auto h-0.5 w-4 -translate-y-1/2 bg-current opacity-70" />
              )}
            </button>
          ))}
        </div>
      )}
      <span className="mt-1 flex items-center gap-0.5 text-[0.73rem] leading-4">
        <span className="text-deep-soft">
          <Key>{hotkey}</Key>
        </span>
        <b>{stacked.find((p) => p.setting === setting)?.name}</b>
      </span>
      <span className="mt-1 text-center text-[0.73rem] leading-[1.1] text-balance">{control.name}</span>
      {does.length > 0 && (
        <span
          title={does.join(', ')}
          className="line-clamp-2 w-full text-center text-[0.73rem] leading-[1.1] font-semibold wrap-anywhere text-deep-live"
        >
          {does[0]}
        </span>
      )}
    </fieldset>
  );
}
