import { Play } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import type { LossTimeline } from '../../../api/types';
import { useBench } from '../../../bench/BenchProvider';
import { Button } from '../../../ui/Button';

/** Between two movements: the model may wait for one before it takes the next. */
const PACE = 700;

interface Props {
  hands: LossTimeline['hands'];
  /** When the receiver gives up after the last packet, in milliseconds: until then it goes on with the last values. */
  givesUp: number;
  fix: boolean;
}

/** Does on the bench what the timeline was made from: the hands one after the other, then the link is lost. */
export function PlayOnBench({ hands, givesUp, fix }: Props) {
  const { link } = useBench();
  const [step, setStep] = useState<number | null>(null);
  const timer = useRef<number>(undefined);
  useEffect(() => () => window.clearTimeout(timer.current), []);
  const play = (next: number) => {
    const hand = hands[next];
    setStep(next);
    if (hand) {
      link.move(hand.control, hand.setting);
      timer.current = window.setTimeout(() => play(next + 1), PACE);
    } else {
      timer.current = window.setTimeout(() => {
        link.setLink(false);
        setStep(null);
      }, givesUp);
    }
  };
  const begin = () => {
    link.setPower(false);
    link.setLink(true);
    link.surround({ tilt: 0, connected: false, unlocked: false, fix });
    link.setPower(true);
    timer.current = window.setTimeout(() => play(0), 2 * PACE);
    setStep(-1);
  };
  const now =
    step === null ? null : step < 0 ? 'The craft gets power' : (hands[step]?.words ?? 'The last packet comes');
  return (
    <section aria-labelledby="play-loss">
      <h2 id="play-loss" className="mb-1 text-lg font-bold">
        The same on the bench
      </h2>
      <p className="mb-1 max-w-[75ch] text-soft">
        {hands.map((h) => h.words).join(' · ')} · then nothing comes, and the receiver gives up. The bench below shows
        what the board does, and the link comes back with its own button.
      </p>
      <div className="flex flex-wrap items-center gap-3">
        <Button disabled={step !== null} onClick={begin}>
          <Play size={15} aria-hidden /> Play it on the bench
        </Button>
        <span role="status" className="font-semibold">
          {now}
        </span>
      </div>
    </section>
  );
}
