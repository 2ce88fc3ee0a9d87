import { useEffect, useRef } from 'react';
import type { RoutineState } from '../../api/types';
import { useBench, useBenchState } from '../../bench/BenchProvider';
import { Button } from '../../ui/Button';
import { tone } from '../../ui/tone';

/** The measuring routine that says what to move and goes on by itself; made to be read from where the transmitter is held. */
export function GuidedRoutine({ onDone }: { onDone: (state: RoutineState) => void }) {
  const { link } = useBench();
  const routine = useBenchState((s) => s.message?.snapshot.routine ?? null);
  const receives = useBenchState((s) => Object.keys(s.message?.snapshot.bars ?? {}).length > 0);
  const step = routine && `${routine.prompt} ${routine.problem}`;
  const before = useRef(step);
  const done = useRef(onDone);

  useEffect(() => {
    done.current = onDone;
  });

  useEffect(() => {
    if (step !== null && before.current !== null && step !== before.current) tone();
    before.current = step;
  }, [step]);

  useEffect(() => {
    if (!routine?.done) return;
    done.current(routine);
    link.guide('none');
  }, [routine, link]);

  if (!routine)
    return (
      <>
        <Button look="solid" disabled={!receives} onClick={() => link.guide('sticks')}>
          Measure the sticks, guided
        </Button>
        <Button disabled={!receives} onClick={() => link.guide('switches')}>
          Measure the switches, guided
        </Button>
      </>
    );
  return (
    <div
      className="w-full max-w-4xl rounded border-2 border-sea bg-sea-wash p-4"
      role="group"
      aria-label="Guided routine"
    >
      <p aria-live="assertive" className="text-3xl leading-tight font-bold">
        {routine.prompt}
      </p>
      {routine.problem && <p className="mt-1 text-lg font-semibold text-rust">{routine.problem}</p>}
      <p className="mt-2 flex flex-wrap items-center gap-4 text-soft">
        {routine.seen} of {routine.count} done. It goes on when everything has rested for a second.
        <Button onClick={() => link.skipStep()}>Leave this one out</Button>
        <Button onClick={() => link.guide('none')}>Stop</Button>
      </p>
    </div>
  );
}
