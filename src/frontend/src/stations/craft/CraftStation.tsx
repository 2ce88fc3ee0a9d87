import { useBenchState } from '../../bench/BenchProvider';
import { StationHead } from '../../ui/StationHead';
import { WholeWay } from '../WholeWay';

/** What the craft does with the followed control, and the sums that lead to it, line by line. */
export function CraftStation() {
  const trace = useBenchState((s) => s.message?.snapshot.trace ?? null);
  const stop = trace?.stops.find((s) => s.station === 'craft');
  return (
    <>
      <StationHead title={`Craft: what ${trace?.name ?? '…'} makes it do`}>
        For a linear curve. A simulated answer: only the craft itself shows the real one.
      </StationHead>
      <p className="text-[3.2rem] leading-tight font-extrabold tracking-tight">
        {stop?.figure} <small className="text-[0.4em] font-semibold tracking-normal">{stop?.unit}</small>
      </p>
      <p className="mb-3 text-soft">{stop?.note}</p>
      <WholeWay station="craft" />
    </>
  );
}
