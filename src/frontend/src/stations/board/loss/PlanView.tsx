import type { FlightAtLoss, LossTimeline } from '../../../api/types';
import { figure } from '../../../ui/figures';

const SIZE = 300;

interface Props {
  footprint: LossTimeline['footprint'];
  flight: FlightAtLoss;
  /** True when it flies home, where the pilot stands. */
  home: boolean;
}

/** The circle in which the craft comes down, from above, with who stands how far away. */
export function PlanView({ footprint, flight, home }: Props) {
  const reach = footprint.reach ?? null;
  const [pilot, line] = [flight.pilot ?? null, flight.line ?? null];
  const widest = Math.max(10, (footprint.rest !== null ? reach : null) ?? 0, pilot ?? 0, line ?? 0) * 1.12;
  const m = (metres: number) => (metres / widest) * (SIZE / 2);
  const everywhere = footprint.rest === null;
  const words = everywhere
    ? 'No circle bounds it: no place is far enough'
    : `It comes down within ${figure(reach ?? 0, 0)} m`;
  return (
    <figure>
      <svg
        viewBox={`${-SIZE / 2} ${-SIZE / 2} ${SIZE} ${SIZE}`}
        className="w-full rounded border border-line bg-sheet"
        role="img"
        aria-label={`From above: ${words}`}
      >
        {everywhere ? (
          <rect x={-SIZE / 2} y={-SIZE / 2} width={SIZE} height={SIZE} className="fill-rust-wash" />
        ) : (
          <circle r={m(reach ?? 0)} className="fill-rust-wash stroke-rust" strokeWidth={2} />
        )}
        {line !== null && (
          <g>
            <line x1={m(line)} x2={m(line)} y1={-SIZE / 2} y2={SIZE / 2} className="stroke-ink" strokeWidth={2} />
            <text x={m(line) - 5} y={-SIZE / 2 + 16} textAnchor="end" className="fill-ink text-[12px]">
              people or road {figure(line, 0)} m
            </text>
          </g>
        )}
        {home && pilot !== null && (
          <line x1={0} x2={-m(pilot)} y1={0} y2={0} className="stroke-ochre" strokeWidth={3} strokeDasharray="7 4" />
        )}
        <path d="M-6 0H6M0 -6V6" className="stroke-ink" strokeWidth={2} />
        <text x={9} y={-6} className="fill-ink text-[12px]">
          last packet
        </text>
        {pilot !== null && (
          <g>
            <circle cx={-m(pilot)} r={6} className="fill-sea" />
            <text x={Math.max(-m(pilot), 44 - SIZE / 2)} y={20} textAnchor="middle" className="fill-ink text-[12px]">
              {home ? 'home, pilot' : 'pilot'} {figure(pilot, 0)} m
            </text>
          </g>
        )}
      </svg>
      <figcaption className="text-sm text-soft">
        {words}, in whatever direction it flies and the wind blows. Stand outside, not in it.
      </figcaption>
    </figure>
  );
}
