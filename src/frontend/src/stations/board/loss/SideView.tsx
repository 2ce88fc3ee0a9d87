import type { LossTimeline } from '../../../api/types';
import { figure } from '../../../ui/figures';

const [WIDTH, HEIGHT, LEFT, RIGHT, TOP, BOTTOM] = [760, 250, 62, 24, 26, 34];

/** What a leg of the way looks like. */
const LOOKS: Record<LossTimeline['course'][number]['leg'], string> = {
  level: 'stroke-sea',
  landing: 'stroke-ochre',
  climbing: 'stroke-ochre',
  returning: 'stroke-ochre',
  'landing-at-home': 'stroke-ochre',
  falling: 'stroke-rust',
  'on-ground': 'stroke-rust',
};

/** The craft's way from the side, as far and as high as it is, with what happens where. */
export function SideView({ timeline: { course, marks } }: { timeline: LossTimeline }) {
  const far = Math.max(1, ...course.map((p) => p.far)) * 1.05;
  // Home lies behind it.
  const back = Math.min(0, ...course.map((p) => p.far)) * 1.05;
  const high = Math.max(1, ...course.map((p) => p.high)) * 1.1;
  const x = (m: number) => LEFT + ((m - back) / (far - back)) * (WIDTH - LEFT - RIGHT);
  const y = (m: number) => HEIGHT - BOTTOM - (m / high) * (HEIGHT - TOP - BOTTOM);
  const end = course.at(-1)!;
  const label = end.far < 0 ? `home, ${figure(-end.far, 0)} m away` : `${figure(end.far, 0)} m far`;
  const shown = marks.map((m, i) => ({ far: m.far, high: m.high, row: i + 1 }));
  const places = (all: typeof shown) =>
    all.reduce<{ far: number; high: number; rows: number[] }[]>((made, { far, high, row }) => {
      const last = made.at(-1);
      // What happens at the same place, or nearly, is written there once.
      if (last && Math.abs(x(last.far) - x(far)) < 12 + 22 * last.rows.length && Math.abs(y(last.high) - y(high)) < 16)
        last.rows.push(row);
      else made.push({ far, high, rows: [row] });
      return made;
    }, []);
  return (
    <figure className="min-w-0">
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        className="w-full rounded border border-line bg-sheet"
        role="img"
        aria-label={`The way from the side: ${label}, from ${figure(course[0]!.high, 0)} m to ${figure(end.high, 0)} m high`}
      >
        <line x1={LEFT} x2={WIDTH - RIGHT} y1={y(0)} y2={y(0)} className="stroke-edge" strokeWidth={2} />
        {ticks(back, far).map((m) => (
          <text
            key={m}
            x={x(m)}
            y={y(0) + 18}
            textAnchor="middle"
            className="fill-soft font-mono text-[12px] max-md:text-[20px]"
          >
            {Math.abs(m)} m
          </text>
        ))}
        {back < 0 && (
          <text
            x={x(Math.min(...course.map((p) => p.far))) + 26}
            y={y(0) - 8}
            className="fill-ink text-[13px] max-md:text-[22px]"
          >
            home
          </text>
        )}
        {ticks(0, high)
          .slice(1)
          .map((m) => (
            <text
              key={m}
              x={LEFT - 6}
              y={y(m) + 4}
              textAnchor="end"
              className="fill-soft font-mono text-[12px] max-md:text-[20px]"
            >
              {m} m
            </text>
          ))}
        {legs(course).map(({ leg, points }, i) => (
          <polyline
            key={i}
            points={points.map((p) => `${x(p.far)},${y(p.high)}`).join(' ')}
            className={`fill-none ${LOOKS[leg]}`}
            strokeWidth={3}
            strokeDasharray={leg === 'falling' ? '7 4' : undefined}
          />
        ))}
        {places(shown).map(({ far, high, rows }) => (
          <g key={rows.join()}>
            <circle cx={x(far)} cy={y(high)} r={5} className="fill-sheet stroke-ink" strokeWidth={2} />
            <text
              x={x(far)}
              y={y(high) - 9}
              textAnchor={x(far) > WIDTH - 60 ? 'end' : 'start'}
              className="fill-ink font-mono text-[13px] font-bold max-md:text-[22px]"
            >
              {rows.join(' · ')}
            </text>
          </g>
        ))}
      </svg>
      <figcaption className="text-sm text-soft">
        From the side, wind behind it; the figures are the rows below. Green: it flies on. Ochre: by itself. Dashed: it
        falls. Height and distance have scales of their own.
      </figcaption>
    </figure>
  );
}

type Course = LossTimeline['course'];

// The way in pieces of one look; each begins where the one before ends.
function legs(course: Course): { leg: Course[number]['leg']; points: Course }[] {
  const made: { leg: Course[number]['leg']; points: Course }[] = [];
  for (const point of course) {
    const last = made.at(-1);
    last?.points.push(point);
    if (last?.leg !== point.leg) made.push({ leg: point.leg, points: [point] });
  }
  return made;
}

// Round figures, four to eight of them.
function ticks(least: number, most: number): number[] {
  const rough = (most - least) / 5;
  const ten = 10 ** Math.floor(Math.log10(rough));
  const step = [1, 2, 5, 10].map((n) => n * ten).find((n) => n >= rough)!;
  const first = Math.ceil(least / step);
  return Array.from(
    { length: Math.floor(most / step) - first + 1 },
    (_, i) => Math.round((first + i) * step * 10) / 10,
  );
}
