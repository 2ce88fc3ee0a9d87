import clsx from 'clsx';
import { CircleCheck, CircleDashed, CircleX } from 'lucide-react';
import { useEffect, useRef } from 'react';
import { Link } from 'react-router';
import { useBench, useBenchState } from '../../../bench/BenchProvider';
import { Button } from '../../../ui/Button';
import { figure, together } from '../../../ui/figures';
import { tone } from '../../../ui/tone';
import { RoutinePanel } from '../RoutinePanel';

/** A loss of the signal tried on the bench, hands on the transmitter: it says what to do and goes on by what the board does. */
export function LossTrial({ id }: { id: string }) {
  const { link } = useBench();
  const trial = useBenchState((s) => s.message?.snapshot.trial ?? null);
  const running = trial !== null && !trial.done;
  const prompt = trial && `${trial.prompt} ${trial.problem}`;
  const before = useRef(prompt);
  useEffect(() => {
    if (prompt !== null && before.current !== null && prompt !== before.current) tone();
    before.current = prompt;
  }, [prompt]);
  // Real sticks that are switched off are a transmitter that is.
  useEffect(() => {
    if (!running) return;
    const [away, back] = [() => link.setLink(false), () => link.setLink(true)];
    window.addEventListener('gamepaddisconnected', away);
    window.addEventListener('gamepadconnected', back);
    return () => {
      window.removeEventListener('gamepaddisconnected', away);
      window.removeEventListener('gamepadconnected', back);
    };
  }, [running, link]);
  // Nobody looks at it any more.
  useEffect(() => () => link.tryLoss(false), [link]);
  return (
    <section aria-labelledby="loss-trial">
      <h2 id="loss-trial" className="mb-1 text-lg font-bold">
        Try it, guided
      </h2>
      <p className="mb-2 max-w-[75ch] text-soft">
        A rehearsal on the simulated board, with the bench below or with real sticks on USB: their transmitter off is
        the link lost. It proves nothing of the craft: tick{' '}
        <Link className="font-semibold underline" to={`/craft/${id}/work#loss`}>
          the real test
        </Link>{' '}
        when you have made it, propellers off.
      </p>
      {trial === null ? (
        <Button onClick={() => link.tryLoss(true)}>Begin</Button>
      ) : (
        <RoutinePanel state={trial} label="Loss, guided">
          <ol className="mt-3">
            {trial.steps.map((step) => (
              <li key={step.id} className="flex items-baseline gap-2 border-t border-line py-1">
                <Mark came={step.came ?? null} />
                <span>
                  {step.do} <span className="text-soft">{together(step.expected)}</span>{' '}
                  {step.came != null && (
                    <b className={clsx(!step.came && 'text-rust')}>
                      {step.seen}
                      {step.took != null && ` After ${figure(step.took, 0)} ms.`}
                    </b>
                  )}
                </span>
              </li>
            ))}
          </ol>
          <p className="mt-2 flex flex-wrap gap-2">
            {trial.done && <Button onClick={() => link.tryLoss(true)}>Once more</Button>}
            <Button onClick={() => link.tryLoss(false)}>{trial.done ? 'Close' : 'Stop'}</Button>
          </p>
        </RoutinePanel>
      )}
    </section>
  );
}

function Mark({ came }: { came: boolean | null }) {
  const [Icon, look, name] =
    came === null
      ? ([CircleDashed, 'text-soft', 'To come'] as const)
      : came
        ? ([CircleCheck, 'text-moss', 'As it should'] as const)
        : ([CircleX, 'text-rust', 'Not as it should'] as const);
  return <Icon size={16} aria-label={name} className={clsx('shrink-0 translate-y-0.5', look)} />;
}
