import type { ControlView } from '../../api/types';
import { Button } from '../../ui/Button';
import { Sheet } from '../../ui/Sheet';
import { figure } from '../../ui/figures';
import type { Assignment } from './assignment';
import type { RealSticks } from './useRealSticks';

interface Props {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  controls: readonly ControlView[];
  sticks: RealSticks;
}

/** Which way a control is moved first. */
function far(control: ControlView): string {
  if (control.positions.length > 0) return 'to its far end';
  return { throttle: 'fully up', pitch: 'fully forward', roll: 'fully right', yaw: 'fully right' }[
    control.axis ?? 'roll'
  ];
}

/** What was taught, with the travel that was measured. */
function calibration(assignment: Assignment): string {
  const name = `${assignment.kind} ${assignment.index + 1}`;
  if (assignment.kind === 'button') return name;
  const { low, centre, high } = assignment;
  return `${name}, from ${[low, centre, high].map((v) => figure(v, 2)).join(' over ')}`;
}

/** Teaches which axis or button of a plugged-in transmitter moves which control, by moving them. */
export function RealSticksSheet({ open, onOpenChange, controls, sticks }: Props) {
  return (
    <Sheet
      open={open}
      onOpenChange={onOpenChange}
      title="Real sticks"
      description="Plug the transmitter in as a USB joystick and move a stick, so that the browser sees it. What you teach here is kept in this browser, for this transmitter."
    >
      <p className="mb-2 font-bold">
        {sticks.pad ? `Connected: ${sticks.pad}` : 'No joystick is seen. Browsers show one only after it was moved.'}
      </p>
      <ul>
        {controls.map((control) => {
          const assignment = sticks.assignments[control.id];
          const now = sticks.teaching?.control === control.id ? sticks.teaching.step : null;
          return (
            <li
              key={control.id}
              aria-label={control.name}
              className="flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-hair py-1.5"
            >
              <b className="w-40">{control.name}</b>
              <span className="min-w-40 flex-1 text-sm" aria-live="polite">
                {now ? (
                  <b className="text-sea">
                    {
                      {
                        far: `Move it ${far(control)}, and hold it there.`,
                        near: 'Now to the other end, and hold it there.',
                        rest: 'Now let it go.',
                        done: 'Taught.',
                      }[now]
                    }
                  </b>
                ) : assignment ? (
                  calibration(assignment)
                ) : (
                  <span className="text-soft">driven by the page only</span>
                )}
              </span>
              {now ? (
                <Button onClick={sticks.stop}>Stop</Button>
              ) : (
                <Button disabled={!sticks.pad} onClick={() => sticks.teach(control.id)}>
                  {assignment ? 'Calibrate again' : 'Teach'}
                </Button>
              )}
              {assignment && !now && <Button onClick={() => sticks.forget(control.id)}>Forget</Button>}
            </li>
          );
        })}
      </ul>
    </Sheet>
  );
}
