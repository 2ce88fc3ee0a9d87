import clsx from 'clsx';
import type { ControlView } from '../api/types';
import { useBench, useBenchState } from './BenchProvider';

const KEYS = [' ', 'Enter'];

/** A push button: on while it is held, with the pointer, the space bar or Enter; a latching one changes with every push. Who can only
 *  activate it, as with a voice or a switch, holds it until the next time. */
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
      onKeyDown={(event) => {
        if (!KEYS.includes(event.key)) return;
        event.preventDefault();
        if (!event.repeat) press();
      }}
      onKeyUp={(event) => {
        if (!KEYS.includes(event.key)) return;
        event.preventDefault();
        release();
      }}
      // A click without a pointer or a key behind it comes from an assistive tool.
      onClick={(event) => event.detail === 0 && (held ? move(control.id, 0) : press())}
    >
      {control.name}
    </button>
  );
}
