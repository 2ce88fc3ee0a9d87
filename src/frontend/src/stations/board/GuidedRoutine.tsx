import { useEffect, useRef } from 'react';
import type { BoardReadings } from '../../api/types';
import { useBench, useBenchState } from '../../bench/BenchProvider';
import { Button } from '../../ui/Button';
import { tone } from '../../ui/tone';
import { RoutinePanel } from './RoutinePanel';

/** The measuring routine that says what to move and goes on by itself; made to be read from where the transmitter is held. */
export function GuidedRoutine({ onDone }: { onDone: (readings: BoardReadings) => void }) {
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
    done.current(routine.readings);
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
    <RoutinePanel state={routine}>
      <p className="mt-2 flex flex-wrap items-center gap-4 text-soft">
        {routine.seen} of {routine.count} done. It goes on when everything has rested for a second.
        <Button onClick={() => link.skipStep()}>Leave this one out</Button>
        <Button onClick={() => link.guide('none')}>Stop</Button>
      </p>
    </RoutinePanel>
  );
}
