import type { Setup, Station } from '../../api/types';
import { useBenchState } from '../../bench/BenchProvider';
import { STATION_NAMES } from '../../path/stations';
import type { Changes } from '../../setup/useChanges';
import { ReceiverLossFields } from '../air/ReceiverLossFields';
import { StationHead } from '../StationHead';
import { WholeWay } from './WholeWay';

const PURPOSE: Record<Station, string> = {
  hands: 'Where the followed control stands.',
  model: 'What the transmitter makes of it.',
  air: 'What the radio link makes of it: a whole count on one of its channels.',
  wire: 'What stands in the frame between receiver and board, and what it stands for.',
  board: 'What the board makes of it.',
  craft:
    'What the craft does with it, for a linear curve. A simulated answer: only the craft itself shows the real one.',
};

/** A station that a value passes: the sums that lead to it, line by line. */
export function PassingStation({ station, setup, changes }: { station: Station; setup: Setup; changes: Changes }) {
  const trace = useBenchState((s) => s.message?.snapshot.trace ?? null);
  const stop = trace?.stops.find((s) => s.station === station);
  return (
    <>
      <StationHead title={`${STATION_NAMES[station]}: ${trace?.name ?? '…'} passes`}>{PURPOSE[station]}</StationHead>
      <p className="text-[3.2rem] leading-tight font-extrabold tracking-tight">
        {stop?.figure} <small className="text-[0.4em] font-semibold tracking-normal">{stop?.unit}</small>
      </p>
      <p className="mb-3 text-soft">{stop?.note}</p>
      {station === 'air' && <ReceiverLossFields setup={setup} changes={changes} />}
      <WholeWay station={station} />
    </>
  );
}
