import type { TravelEffect } from '../../api/types';
import { figure } from '../../ui/figures';

/** The range that is drawn, in microseconds, and what a board wants of it. */
const [LOW, HIGH] = [850, 2150];
const [FROM, CENTRE, UP_TO] = [1000, 1500, 2000];

const at = (us: number) => ((Math.max(LOW, Math.min(HIGH, us)) - LOW) / (HIGH - LOW)) * 100;

/** The travel of a channel over the board's 1000 to 2000: what is reached, what never is, and what lies beyond and is lost. */
export function TravelDiagram({ name, effect }: { name: string; effect: TravelEffect }) {
  const { low, centre, high } = effect.shows;
  const parts: [string, number, number][] = [
    ['fill-none stroke-ochre', FROM, low],
    ['fill-none stroke-ochre', high, UP_TO],
    ['fill-rust', low, FROM],
    ['fill-rust', UP_TO, high],
    ['fill-sea', Math.max(low, FROM), Math.min(high, UP_TO)],
  ];
  const words = [
    `${figure(low, 0)} to ${figure(high, 0)} µs, centre ${figure(centre, 0)}`,
    effect.short >= 1 && `${figure(effect.short, 0)} never reached`,
    effect.clipped >= 1 && `${figure(effect.clipped, 0)} beyond`,
  ].filter(Boolean);
  return (
    <figure className="min-w-0">
      <svg
        viewBox="0 0 100 14"
        preserveAspectRatio="none"
        className="h-7 w-full"
        role="img"
        aria-label={`${name}: ${words.join(', ')}`}
      >
        {parts.map(([look, from, upTo], i) =>
          upTo - from < 1 ? null : (
            <rect
              key={i}
              className={look}
              x={at(from)}
              width={Math.max(0.4, at(upTo) - at(from))}
              y={4}
              height={6}
              vectorEffect="non-scaling-stroke"
              strokeDasharray={look.includes('stroke') ? '3 2' : undefined}
            />
          ),
        )}
        {[FROM, CENTRE, UP_TO].map((mark) => (
          <line
            key={mark}
            x1={at(mark)}
            x2={at(mark)}
            y1={0}
            y2={14}
            className="stroke-soft"
            vectorEffect="non-scaling-stroke"
          />
        ))}
        <line
          x1={at(centre)}
          x2={at(centre)}
          y1={2}
          y2={12}
          strokeWidth={3}
          className="stroke-ink"
          vectorEffect="non-scaling-stroke"
        />
      </svg>
      <figcaption className="font-mono text-[0.8rem]">
        {figure(low, 0)} · {figure(centre, 0)} · {figure(high, 0)} µs
      </figcaption>
    </figure>
  );
}
