import type { SetupView } from '../../api/types';
import { useBench, useBenchState } from '../../bench/BenchProvider';
import { useUnderHand } from '../../bench/useUnderHand';
import { Button } from '../../ui/Button';
import { distance, figure } from '../../ui/figures';

/** The slider goes so far, in steps of a hundredth of its way. */
const STEPS = 100;

/** Takes the craft on the bench to a distance: packets are lost there as the link budget says. */
export function DistanceField({ link }: { link: SetupView['link'] }) {
  const bench = useBench();
  const air = useBenchState((s) => s.message?.snapshot.air ?? null);
  const nearest = link.course[0]!.distance;
  const farthest = link.course[link.course.length - 1]!.distance;
  const [place, move] = useUnderHand(
    air ? Math.round((STEPS * Math.log(air.distance / nearest)) / Math.log(farthest / nearest)) : 0,
    (step) => bench.link.setDistance(nearest * (farthest / nearest) ** (step / STEPS)),
  );
  return (
    <section aria-labelledby="distance" className="mb-5 max-w-4xl">
      <h2 id="distance" className="text-lg font-bold">
        {air ? `The craft is ${distance(air.distance)} away` : 'The craft is on the bench'}
      </h2>
      <div className="flex flex-wrap items-center gap-x-5 gap-y-2">
        <label className="min-w-64 flex-1">
          <span className="sr-only">Distance of the craft</span>
          <input
            type="range"
            className="w-full accent-sea"
            min={0}
            max={STEPS}
            value={place}
            aria-valuetext={air ? distance(air.distance) : 'on the bench'}
            onChange={(event) => move(Number(event.target.value))}
          />
        </label>
        <Button disabled={air === null} onClick={() => bench.link.setDistance(null)}>
          Back to the bench
        </Button>
      </div>
      <p aria-live="off" className="min-h-6">
        {air ? (
          <>
            <b className="font-mono text-lg">{figure(air.quality, 0)} %</b> of the last hundred packets arrived ·{' '}
            {figure(air.strength, 0)} dBm · {figure(air.margin, 1)} dB over what the receiver understands
          </>
        ) : (
          <span className="text-soft">Nothing is lost. Move the craft away to see the link quality fall.</span>
        )}
      </p>
    </section>
  );
}
