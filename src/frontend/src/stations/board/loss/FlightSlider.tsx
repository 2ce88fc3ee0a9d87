import type { FlightAtLoss } from '../../../api/types';
import { figure } from '../../../ui/figures';

/** Writes a member of the flight down, or takes it away. */
export type PutFlight = (title: string, member: keyof FlightAtLoss, value: number | undefined) => void;

interface Props {
  flight: FlightAtLoss;
  /** True while something was moved that is not written down. */
  moved: boolean;
  member: 'speed' | 'height' | 'wind';
  label: string;
  unit: string;
  /** The unit that is shown, in that of the document. */
  factor?: number;
  most: number;
  step: number;
  drag: (flight: FlightAtLoss) => void;
  put: PutFlight;
}

/** A figure of the flight under the hand: everything follows while it is dragged, and it is written down when the hand lets go, or goes on to the next field. */
export function FlightSlider({ flight, moved, member, label, unit, factor = 1, most, step, drag, put }: Props) {
  const shown = Math.round((flight[member] ?? 0) * factor * 10) / 10;
  const done = () => moved && put(`${label} ${shown} ${unit}`, member, flight[member] ?? 0);
  return (
    <label className="flex flex-col gap-0.5 text-sm text-soft">
      <span className="flex items-baseline justify-between gap-3">
        {label}
        <b className="font-mono text-base text-ink">
          {figure(shown, 1)} {unit}
        </b>
      </span>
      <input
        type="range"
        className="w-full accent-sea max-md:min-h-11"
        min={0}
        max={Math.max(most, shown)}
        step={step}
        value={shown}
        aria-valuetext={`${shown} ${unit}`}
        onChange={(event) => drag({ ...flight, [member]: Number(event.target.value) / factor })}
        onPointerUp={done}
        onBlur={done}
      />
    </label>
  );
}
