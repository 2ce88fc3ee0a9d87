import type { SetupView } from '../../api/types';
import { useBenchState } from '../../bench/BenchProvider';
import { distance, figure } from '../../ui/figures';

type Link = SetupView['link'];

/** The drawing, in its own units, and the room for figures beside it. */
const [WIDTH, HEIGHT, LEFT, ABOVE, BELOW] = [720, 210, 46, 10, 24];

/** How much the signal is stronger than needed, against distance: where the warnings belong and where it ends. */
export function LinkChart({
  link,
  checked,
}: {
  link: Link;
  /** True once a range check was made. */ checked: boolean;
}) {
  const { course, warning, urgent } = link;
  const craft = useBenchState((s) => s.message?.snapshot.air ?? null);
  const nearest = course[0]!.distance;
  const farthest = course[course.length - 1]!.distance;
  const top = Math.ceil(course[0]!.margin / 10) * 10;
  const bottom = Math.min(-10, Math.floor(course[course.length - 1]!.margin / 10) * 10);
  const x = (km: number) => LEFT + ((WIDTH - LEFT) * Math.log(km / nearest)) / Math.log(farthest / nearest);
  const y = (dB: number) => ABOVE + ((HEIGHT - ABOVE - BELOW) * (top - dB)) / (top - bottom);
  const ticks = [0.01, 0.1, 1, 10, 100, 1000].filter((km) => km >= nearest && km <= farthest);
  const levels = Array.from({ length: (top - bottom) / 20 + 1 }, (_, i) => top - 20 * i);
  return (
    <figure className="mb-5 max-w-4xl" aria-labelledby="reach">
      <figcaption id="reach" className="text-lg font-bold">
        {checked
          ? `First warning at ${distance(warning.distance)}, half of the packets lost at ${distance(link.half.distance)}`
          : `Reckon with the first warning at ${distance(link.practical)}; ${distance(warning.distance)} is the upper bound, in free space`}
      </figcaption>
      <p className="max-w-[75ch] text-soft">
        {figure(link.power, 1)} dBm against {figure(link.sensitivity, 0)} dBm
        {link.isUsualSensitivity && ' (usual at this rate, from memory)'}. Ground, trees, a body between the antennas
        and other transmitters take their share. How margin becomes lost packets is our own model; do a range check at
        low power.
      </p>
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        className="mt-2 w-full"
        role="img"
        aria-label={`Margin in decibels against distance, from ${figure(course[0]!.margin, 0)} dB at ${distance(nearest)} to ${figure(course[course.length - 1]!.margin, 0)} dB at ${distance(farthest)}`}
      >
        {levels.map((dB) => (
          <g key={dB}>
            <line x1={LEFT} x2={WIDTH} y1={y(dB)} y2={y(dB)} className={dB === 0 ? 'stroke-ink' : 'stroke-hair'} />
            <text x={LEFT - 6} y={y(dB) + 4} textAnchor="end" className="fill-soft text-[12px]">
              {dB} dB
            </text>
          </g>
        ))}
        {ticks.map((km) => (
          <g key={km}>
            <line x1={x(km)} x2={x(km)} y1={ABOVE} y2={HEIGHT - BELOW} className="stroke-hair" />
            <text
              x={Math.min(x(km), WIDTH - 18)}
              y={HEIGHT - 8}
              textAnchor={km === nearest ? 'start' : 'middle'}
              className="fill-soft text-[12px]"
            >
              {distance(km)}
            </text>
          </g>
        ))}
        <polyline
          points={course.map((p) => `${x(p.distance).toFixed(1)},${y(p.margin).toFixed(1)}`).join(' ')}
          fill="none"
          className="stroke-sea"
          strokeWidth="2.5"
        />
        <line
          x1={x(warning.distance)}
          x2={x(warning.distance)}
          y1={ABOVE}
          y2={HEIGHT - BELOW}
          className="stroke-ochre"
          strokeWidth="2"
          strokeDasharray="6 4"
        />
        <line
          x1={x(urgent.distance)}
          x2={x(urgent.distance)}
          y1={ABOVE}
          y2={HEIGHT - BELOW}
          className="stroke-rust"
          strokeWidth="2"
        />
        {craft && craft.distance <= farthest && (
          <circle cx={x(Math.max(craft.distance, nearest))} cy={y(craft.margin)} r="6" className="fill-ink" />
        )}
      </svg>
      <ul className="flex flex-wrap gap-x-6 text-sm">
        <Mark colour="bg-ochre" name="Warning" point={warning} />
        <Mark colour="bg-rust" name="Urgent" point={urgent} />
        {craft && (
          <li className="flex items-center gap-1.5">
            <span aria-hidden className="size-3 rounded-full bg-ink" />
            the craft
          </li>
        )}
      </ul>
    </figure>
  );
}

function Mark({ colour, name, point }: { colour: string; name: string; point: Link['warning'] }) {
  return (
    <li className="flex items-center gap-1.5">
      <span aria-hidden className={`size-3 rounded-xs ${colour}`} />
      {name}: <b>{distance(point.distance)}</b>, {figure(point.quality, 0)} % of packets, {figure(point.strength, 0)}{' '}
      dBm, {figure(point.margin, 1)} dB left
    </li>
  );
}
