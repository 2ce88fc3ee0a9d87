import type { CurvePoint } from '../../../api/types';

interface Props {
  points: readonly CurvePoint[];
  /** The heights at -100, -95 ... +100 %, as the server computed them. */
  samples: readonly number[];
  /** The value that goes in now, in percent. */
  now?: number;
  size?: number;
}

const HALF = 110;
const x = (percent: number) => HALF + percent;
const y = (percent: number) => HALF - percent;

/** A curve with its points, drawn over the travel from -100 to +100 %. */
export function CurveDrawing({ points, samples, now, size = 190 }: Props) {
  const line = samples.map((height, i) => `${x(-100 + i * 5)},${y(height)}`).join(' ');
  const held = now === undefined ? undefined : Math.max(-100, Math.min(100, now));
  return (
    <svg viewBox={`0 0 ${2 * HALF} ${2 * HALF}`} width={size} height={size} role="img" aria-label="The curve">
      <rect x={x(-100)} y={y(100)} width={200} height={200} className="fill-sheet stroke-line" />
      <path d={`M${x(-100)} ${y(0)}H${x(100)}M${x(0)} ${y(-100)}V${y(100)}`} className="stroke-hair" />
      {held !== undefined && (
        <path d={`M${x(held)} ${y(-100)}V${y(100)}`} className="stroke-sea" strokeWidth={1.5} strokeDasharray="3 3" />
      )}
      <polyline points={line} className="fill-none stroke-ink" strokeWidth={2.5} strokeLinejoin="round" />
      {points.map((p) => (
        <rect key={p.x} x={x(p.x) - 3} y={y(p.y) - 3} width={6} height={6} className="fill-paper stroke-ink" />
      ))}
    </svg>
  );
}
