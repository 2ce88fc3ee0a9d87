import clsx from 'clsx';
import type { ControlView } from '../api/types';
import { useBench, useBenchState } from './BenchProvider';

/** A push button: on while it is held, with the pointer or with the space bar; a latching one changes with every push. */
export function HoldButton({ control }: { control: ControlView }) {
  const { move } = useBench();
  const held = useBenchState((s) => s.message?.snapshot.settings[control.id] === 1);
  const press = () => move(control.id, control.latching && held ? 0 : 1);
  const release = () => !control.latching && move(control.id, 0);
  return (
    <button
      type="button"
      aria-pressed={held}
      className={clsx(
        'min-h-8 rounded border border-deep-ink/45 px-2 text-[0.75rem] leading-tight touch-none',
        held && 'bg-deep-ink text-deep',
      )}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        press();
      }}
      onPointerUp={release}
      onPointerCancel={release}
      onBlur={() => held && release()}
      onKeyDown={(event) => event.key === ' ' && !event.repeat && press()}
      onKeyUp={(event) => event.key === ' ' && release()}
    >
      {control.name}
    </button>
  );
}
